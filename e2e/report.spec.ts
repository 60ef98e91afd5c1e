import type { Trial } from '@even-watt/contract'
import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { captureStep, demoUrl, freshTrial, trialNamed, typeStep } from './support/pages'

test('a report is composed by keys: own words, order, short form; nothing chosen is not published', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Composed')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await captureStep(page, 'heater', ['25.8', '25.6', '20.0', '230', '2.1', '480', '1.00'])
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await page.getByText('Compose it').click()
  const parts = page.getByRole('list', { name: 'Parts of the report' })
  await page.getByRole('button', { name: 'Add own words' }).click()
  await page.getByRole('textbox', { name: 'The own words 1' }).fill('Read this first.')
  await page.getByRole('button', { name: 'Move Findings down' }).click()
  await expect(parts.getByRole('listitem').nth(2)).toContainText('The unit')
  await page.getByLabel('Method', { exact: true }).focus()
  await page.keyboard.press('Alt+ArrowUp')
  await expect(parts.getByRole('listitem').nth(3)).toContainText('Method')
  const article = page.locator('article')
  await expect(article.getByText('Read this first.')).toBeVisible()
  await page.getByLabel('Method', { exact: true }).click()
  await expect(article.getByRole('heading', { name: 'Method' })).toHaveCount(0)
  await expect
    .poll(async () => {
      const { report } = (await (await page.request.get(`${demoUrl()}/api/trials/${trial}`)).json()) as Trial
      return report?.blocks.find(({ key }) => key === 'Method')?.shown
    })
    .toBe(false)
  await page.reload()
  await expect(article.getByText('Read this first.')).toBeVisible()
  await expect(article.getByRole('heading', { name: 'Method' })).toHaveCount(0)
  await page.getByText('Compose it').click()
  await page.getByRole('button', { name: 'Short form' }).click()
  await expect(article.getByRole('heading', { name: /^Rig 1/ })).toHaveCount(0)
  await page.getByLabel('Add a photograph, comparison, chart or table').selectOption({ label: 'Ladder' })
  await expect(parts.getByRole('listitem').first()).toContainText('Ladder, rig 1')
  await expect(article.getByRole('heading', { name: 'Ladder' })).toHaveCount(1)
  await page.getByRole('button', { name: 'Remove Ladder, rig 1' }).click()
  await expect(article.getByRole('heading', { name: 'Ladder' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Remove own words 1' }).click()
  for (const name of ['Questions', 'Findings', 'The unit', 'Meters', 'Photographs'])
    await page.getByRole('list', { name: 'Parts of the report' }).getByLabel(name, { exact: true }).click()
  await expect(page.getByText('No part of the report is chosen: there is nothing to publish.')).toBeVisible()
  await page.getByRole('button', { name: 'As usual' }).click()
  await expect(article.getByRole('heading', { name: /^Rig 1/ })).toBeVisible()
})

test('a report holds a kept comparison, and prints by its key once all of it is drawn', async ({ page }) => {
  const trial = await freshTrial(page, 'With a comparison')
  await page.addInitScript(() => {
    const seen: string[] = []
    Object.assign(globalThis, { printed: seen, print: () => seen.push(document.body.innerText) })
  })
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await page.getByText('Compose it').click()
  await page
    .getByLabel('Add a photograph, comparison, chart or table')
    .selectOption({ label: 'comparison “Ottrel, revision B and C”' })
  const article = page.locator('article')
  await expect(article.getByRole('heading', { name: 'Compared: Ottrel, revision B and C' })).toBeVisible()
  await expect(article).toContainText(/rev C is better than Ottrel 1400-24 in idle draw/)
  await expect(article.getByLabel('idle draw')).toHaveCount(0)
  await page
    .getByLabel('Add a photograph, comparison, chart or table')
    .selectOption({ label: 'runs of “Ottrel 1400-24 for launch 2”' })
  const earlier = article.getByRole('heading', { name: 'Earlier runs, of “Ottrel 1400-24 for launch 2”' })
  await expect(earlier).toBeVisible()
  await page.reload({ waitUntil: 'commit' })
  await page.getByRole('heading', { name: 'With a comparison' }).waitFor()
  await page.keyboard.press('Control+p')
  const printed = () => page.evaluate(() => (globalThis as unknown as { printed: string[] }).printed)
  await expect.poll(async () => (await printed()).length).toBe(1)
  expect((await printed())[0]).toMatch(/rev C is better than Ottrel 1400-24 in idle draw/)
})

test('a unit on one card, and the chapters of a film that was made of its trial', async ({ page }) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 for')
  await page.goto(`${demoUrl()}/trials/${trial}/report/card`)
  const card = page.getByRole('article')
  await expect(card.getByRole('heading', { level: 1 })).toHaveText('Ottrel 1400-24')
  await expect(card.getByText('All 8 claims are met.')).toBeVisible()
  await expect(card.locator('img')).toBeVisible()
  await page.getByRole('link', { name: 'Chapters of a film' }).click()
  const marks = page.getByLabel('Chapter marks')
  await expect(marks).toContainText('incubator mat')
  await page.getByLabel(/The film lasts/).fill('12')
  await expect(marks).not.toContainText('sand oven')
  await page.getByLabel(/The film lasts/).fill('long')
  await expect(page.getByText('"long" is no number of minutes.')).toBeVisible()
})

test('an edition leaves as data too, and what a spreadsheet would compute stays text', async ({ page }) => {
  const trial = await freshTrial(page, 'As data')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await typeStep(page, 'heater', ['25.8', '25.6', '20.0', '230', '2.1', '480', '1.00'])
  const { version, ...settings } = (await (
    await page.request.get(`${demoUrl()}/api/trials/${trial}`)
  ).json()) as { version: number }
  await page.request.put(`${demoUrl()}/api/trials/${trial}`, {
    data: {
      editedFrom: version,
      settings: { ...settings, answer: { said: ['=HYPERLINK("http://x")'], drafted: [] } },
    },
  })
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(page.getByText('=HYPERLINK').first()).toBeVisible()
  await page.getByRole('button', { name: 'Publish edition 1' }).click()
  const saved = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download', (one) => !one.suggestedFilename().endsWith('.html')),
      page.getByRole('button', { name }).click(),
    ])
    return readFileSync(await download.path(), 'utf8')
  }
  const json = JSON.parse(await saved('Edition 1 as JSON')) as { number: number; stated: unknown[] }
  expect(json.number).toBe(1)
  expect(json.stated.length).toBeGreaterThan(1)
  expect(await saved('Edition 1 as CSV')).toContain(`"'=HYPERLINK`)
})
