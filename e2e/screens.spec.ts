import { expect, test } from '@playwright/test'
import { demoUrl, trialNamed } from './support/pages'

test('two tabs editing one unit: the second is shown the conflict and chooses', async ({ page, context }) => {
  await page.goto(`${demoUrl()}/units`)
  await page.getByRole('link', { name: 'Ottrel 1400-24 rev C' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Ottrel 1400-24 rev C')
  const other = await context.newPage()
  await other.goto(page.url())
  await other.getByLabel('Date code').fill('2601')
  await other.getByRole('button', { name: 'Save' }).click()
  await expect(other.getByRole('heading', { name: 'Units' })).toBeVisible()

  await page.getByLabel('Firmware').fill('1.7')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('This was changed meanwhile.')).toBeVisible()
  await expect(page.getByLabel('Firmware')).toHaveValue('1.7')
  // However late the list is read again: what was saved stands.
  await page.route('**/api/units', async (route) => {
    const response = await route.fetch()
    await new Promise((resolve) => setTimeout(resolve, 1500))
    await route.fulfill({ response })
  })
  await page.getByRole('button', { name: 'Save mine over it' }).click()
  await expect(page.getByRole('heading', { name: 'Units' })).toBeVisible()
  await page.getByRole('link', { name: 'Ottrel 1400-24 rev C' }).click()
  await expect(page.getByLabel('Firmware')).toHaveValue('1.7')
  await page.unrouteAll({ behavior: 'ignoreErrors' })
})

test('what is typed into a form survives leaving the page', async ({ page }) => {
  await page.goto(`${demoUrl()}/units/new`)
  await page.getByLabel('Name', { exact: true }).fill('Half typed')
  await page.goto(demoUrl())
  await page.goto(`${demoUrl()}/units/new`)
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half typed')
  await expect(page.getByText('What you typed here before was kept.')).toBeVisible()
})

test('a unit is duplicated with its claims', async ({ page }) => {
  await page.goto(`${demoUrl()}/units`)
  await page.getByRole('link', { name: 'Pellam 900-12', exact: true }).click()
  await page.getByRole('button', { name: 'Duplicate' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Pellam 900-12, copy')
  await expect(page.getByRole('group', { name: /Claim/ })).toHaveCount(7)
})

test('Ctrl+K goes anywhere, ? lists the keys', async ({ page }) => {
  await page.goto(demoUrl())
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible()
  await page.keyboard.press('Control+k')
  await expect(page.getByRole('combobox', { name: 'Go anywhere' })).toBeFocused()
  await page.keyboard.type('marsh hut find')
  // The page itself, and the search for the same words below it.
  await expect(page.getByRole('option')).toHaveText([/marsh hut: findings$/, /^Search everything/])
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Findings' })).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('next field; in the last one of a form')
  await page.keyboard.press('Escape')
})

test('the report prints on A4 and Letter', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Ottrel 1400-24 for')}/report`)
  await expect(page.getByRole('heading', { name: 'Cautions' })).toBeVisible()
  await expect(page.getByText('local codes and a licensed electrician decide')).toBeVisible()
  // What is far below waits, until paper wants it: then all of it is there before the printer looks, once charts can be drawn at all.
  await expect(page.locator('figure [role=img] path').first()).toBeAttached()
  const charts = (print: boolean) =>
    page.evaluate((print) => {
      if (print) window.dispatchEvent(new Event('beforeprint'))
      const charts = [...document.querySelectorAll('figure [role=img]')]
      return {
        charts: charts.length,
        blank: charts.filter((one) => !one.querySelector('path')).length,
        waiting: document.querySelectorAll('[data-drawing]').length,
      }
    }, print)
  const before = await charts(false)
  expect(await charts(true)).toEqual({ charts: before.charts + before.waiting, blank: 0, waiting: 0 })
  await expect(page.getByRole('img', { name: /Efficiency in per cent/ }).first()).toBeVisible()
  for (const [paper, points] of [
    ['A4', 595],
    ['Letter', 612],
  ] as const) {
    await page.getByLabel('paper').selectOption(paper)
    const pdf = (await page.pdf({ preferCSSPageSize: true, printBackground: true })).toString('latin1')
    expect(pdf.match(/\/Type\s*\/Page\b/g)?.length).toBeGreaterThanOrEqual(3)
    expect(Math.round(Number(/MediaBox\s*\[0 0 ([\d.]+)/.exec(pdf)?.[1]))).toBe(points)
  }
})
