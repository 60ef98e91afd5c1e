import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import type { StoredLoad } from '@even-watt/contract'
import { demoUrl, freshTrial } from './support/pages'

test('loads go on the shelf by one line, are edited, exported and taken in again', async ({ page }) => {
  await page.goto(`${demoUrl()}/loads`)
  const line = page.getByLabel('Quick add')
  for (const [typed, said] of [
    ['soldering iron', 'how many watts'],
    ['welder 100 kW', 'no plug-in load'],
    ['kettle 1800 W', 'stands on the shelf already'],
  ] as const) {
    await line.fill(typed)
    await page.keyboard.press('Enter')
    await expect(page.getByText(said)).toBeVisible()
    await expect(line).toHaveValue(typed)
  }
  await line.fill('glue pot 200/400 W')
  await page.keyboard.press('Enter')
  await expect(page.getByText('glue pot is on the shelf, as element.')).toBeVisible()
  await page.getByRole('link', { name: 'glue pot' }).click()
  await page.getByRole('group', { name: 'Setting 2' }).getByLabel('Label watts').fill('0,5 kW')
  await page.getByLabel('Settling time constant').fill('60')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Warm-up: both how much more').first()).toBeVisible()
  await page.getByLabel('Cold it takes').fill('105')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('row', { name: /glue pot/ })).toContainText('500 W')

  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).click()
  const text = readFileSync(await (await waiting).path(), 'utf8')
  expect((JSON.parse(text) as { loads: StoredLoad[] }).loads.map(({ name }) => name)).toContain('glue pot')
  const take = (name: string, content: string) =>
    page
      .getByLabel('Import')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
  await take('half.json', text.slice(0, text.length / 2))
  await expect(page.getByText('This file is not whole JSON.')).toBeVisible()
  await take('foreign.json', '{"format":"other"}')
  await expect(page.getByText(/is not an Even Watt load shelf/)).toBeVisible()
  await take('shelf.json', text)
  await expect(page.getByText(/0 loads taken in; \d+ stood here already/)).toBeVisible()
})

test('a ladder is chosen, changed, locked and walked by keyboard', async ({ page }) => {
  const trial = await freshTrial(page, 'Planned')
  await page.goto(`${demoUrl()}/trials/${trial}/plan`)
  await expect(page.getByText('No ladder is planned yet.')).toBeVisible()
  const targets = page.getByLabel('% of rated, or W')
  await targets.fill('five')
  await expect(page.getByText('"five" is not a number').first()).toBeVisible()
  await targets.fill('25 %; 50 %; 300 %')
  await page.getByRole('button', { name: 'Choose the loads' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Best possible')).toBeVisible()
  await expect(page.getByText(/under: borrow a load/)).toBeVisible()
  await targets.fill('25 %; 50 %; 75 %')
  await page.getByRole('button', { name: 'Choose the loads' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/under: borrow a load/)).toHaveCount(0)
  const third = page.getByRole('row', { name: /75 %/ })
  await third.getByRole('button', { name: 'Others' }).focus()
  await page.keyboard.press('Enter')
  const other = page.getByRole('listitem').filter({ hasText: 'before and after' }).first()
  const words = await other.getByRole('button').innerText()
  await other.getByRole('button').focus()
  await page.keyboard.press('Enter')
  await expect(third).toContainText(`${words} (locked)`)
  await page.getByRole('button', { name: 'Choose the loads' }).focus()
  await page.keyboard.press('Enter')
  await expect(third).toContainText('(locked)')

  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  const planned = page.getByTestId('planned-next')
  await expect(planned).toContainText('Planned next: drying plate low')
  await page.keyboard.press('p')
  await expect(page.getByRole('textbox', { name: 'Load', exact: true })).toHaveValue('drying plate low')
  for (const value of ['26.27', '26.22', '14.35', '231.1', '1.54', '354']) {
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
  await page.keyboard.press('Control+Enter')
  await expect(page.getByRole('row', { name: /drying plate low/ }).first()).toBeVisible()
  await expect(planned).toContainText('Planned next: drying plate high')
  await expect(page.getByRole('navigation', { name: 'Work order' })).toContainText('3 of 3 steps')
})

test('cautions are acknowledged with initials, and asked again for what changed', async ({ page }) => {
  const trial = await freshTrial(page, 'Safe')
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(page.getByText('Make safe was skipped.')).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/make-safe`)
  await page.getByLabel('Your initials').fill(' ')
  const read = page.getByRole('button', { name: /^I have read these/ })
  await read.click()
  await expect(page.getByText('Say who read them.')).toBeVisible()
  await page.getByLabel('Your initials').fill('M.K.')
  await read.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('All cautions were acknowledged as they now stand.')).toBeVisible()
  await page.getByLabel('Resistor').fill('-22')
  await expect(page.getByText('Above 0.')).toBeVisible()
  await page.getByLabel('Resistor').fill('22')
  await page.getByLabel('Bank').fill('26.4')
  await page.getByLabel('Input capacitance').fill('10')
  await expect(page.getByText('0.873 s')).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(page.getByText(/^Acknowledged by M\.K\./)).toBeVisible()

  const answer = await page.request.get(`${demoUrl()}/api/trials/${trial}`)
  const { revisions } = (await answer.json()) as { revisions: { rig: { name: string } }[] }
  const rig = {
    ...revisions[0]?.rig,
    support: { kind: 'charger', name: 'Bench charger', current: 30, ownUse: 0 },
  }
  await page.request.post(`${demoUrl()}/api/trials/${trial}/revisions`, {
    data: { after: 1, why: 'charger added', rig },
  })
  await page.goto(`${demoUrl()}/trials/${trial}/make-safe`)
  await expect(page.getByRole('button', { name: 'I have read these 1' })).toBeVisible()
  await expect(page.getByText('Here: Bench charger.')).toBeVisible()
  await page.getByLabel('Your initials').fill('M.K.')
  await page.getByRole('button', { name: 'I have read these 1' }).click()
  await expect(page.getByText('All cautions were acknowledged as they now stand.')).toBeVisible()

  // A change that adds no caution leaves nothing open that cannot be closed.
  await page.request.post(`${demoUrl()}/api/trials/${trial}/revisions`, {
    data: { after: 2, why: 'lug remade', rig },
  })
  await page.goto(`${demoUrl()}/trials/${trial}/make-safe`)
  const order = page.getByRole('navigation', { name: 'Work order' })
  await expect(order).toContainText('rig changed since')
  await page.getByRole('button', { name: 'They hold on this rig too' }).click()
  await expect(order).toContainText('acknowledged')
})
