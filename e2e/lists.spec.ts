import { expect, test, type Page } from '@playwright/test'
import { Installation } from './support/installation'
import { demoUrl, freshTrial, trialNamed } from './support/pages'

const column = (page: Page, list: string, nth: number) =>
  page.getByRole('table', { name: list }).locator(`tbody td:nth-child(${nth})`)

test('documents are sorted by their headings and found by any of their words', async ({ page }) => {
  await page.goto(`${demoUrl()}/loads`)
  const names = column(page, 'Loads', 1)
  const heading = page.getByRole('columnheader', { name: 'name' })
  const sorted = async () => (await names.allTextContents()).map((name) => name.toLowerCase())
  await page.getByRole('button', { name: 'name' }).click()
  await expect(heading).toHaveAttribute('aria-sort', 'ascending')
  const up = await sorted()
  expect(up.length).toBeGreaterThan(10)
  await page.getByRole('button', { name: 'name' }).press('Enter')
  await expect(heading).toHaveAttribute('aria-sort', 'descending')
  expect(await sorted()).toEqual([...up].reverse())

  await page.getByRole('button', { name: 'at' }).click()
  await expect(column(page, 'Loads', 4).first()).toHaveText('120 V')
  await page.getByRole('searchbox', { name: 'Find a load' }).fill('KETTLE')
  await expect(names).toHaveText(['kettle'])
  await page.getByRole('searchbox', { name: 'Find a load' }).fill('nothing of this kind')
  await expect(page.getByText('No load has “nothing of this kind” in it.')).toBeVisible()
})

test('the working of a figure leads to its method, and the method to its other pages', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Ottrel 1400-24 for')}/ladder`)
  await page
    .getByRole('row', { name: /immersion rod/ })
    .getByRole('button', { name: /± / })
    .click()
  await page.getByRole('link', { name: 'how it is worked' }).first().click()
  await expect(page.getByRole('heading', { name: 'Ladder', level: 1 })).toBeVisible()
  await expect(page.getByText('91.14 %')).toBeVisible()
  await page.getByRole('link', { name: 'All of the method' }).click()
  await page.getByRole('link', { name: 'Oddities' }).click()
  await expect(page.getByRole('cell', { name: 'clamp not zeroed' })).toBeVisible()
  await page.goto(`${demoUrl()}/method/nothing`)
  await expect(page.getByRole('heading', { name: 'No such page' })).toBeVisible()
})

test.describe('a bench with many trials', () => {
  let place: Installation
  test.beforeAll(async () => {
    place = Installation.create()
    await place.start()
  })
  test.afterAll(() => place.remove())

  test('is searched, sorted and paged by the server, and says how the claims stand', async ({ page }) => {
    test.setTimeout(120_000)
    for (let i = 1; i <= 30; i++)
      await freshTrial(page, `Batch ${String(i).padStart(2, '0')} % of lot`, place.url)
    await page.goto(place.url)
    const titles = column(page, 'All trials', 1)
    await expect(titles).toHaveCount(25)
    await expect(page.getByText('1 to 25 of 37')).toBeVisible()
    await page.getByRole('button', { name: 'Next page' }).click()
    await expect(page.getByText('26 to 37 of 37')).toBeVisible()
    await expect(titles).toHaveCount(12)
    await expect(page.getByRole('button', { name: 'Next page' })).toBeDisabled()
    await expect(page.getByRole('row', { name: /Ottrel 1400-24 for launch 2/ })).toContainText(
      /5 met.*3 met, within uncertainty/,
    )

    await page.getByLabel('Only the newest of each unit').check()
    await expect(titles).toHaveCount(5)
    await page.getByLabel('Only the newest of each unit').uncheck()

    await page.getByRole('button', { name: 'trial', exact: true }).click()
    await expect(page.getByText('1 to 25 of 37')).toBeVisible()
    await expect(titles.first()).toHaveText('Batch 01 % of lot')
    await page.getByRole('button', { name: 'trial', exact: true }).click()
    await expect(titles.first()).toHaveText('Varnock 3600-48 for visiting launches')

    const find = page.getByRole('searchbox', { name: 'Find a trial' })
    await find.fill('hut pellam')
    await expect(titles).toHaveText(['Pellam 900-12 for the marsh hut'])
    await find.fill('%')
    await expect(titles).toHaveCount(25)
    await find.fill('no such trial')
    await expect(
      page.getByText('No trial has “no such trial” in its title, unit, rig or initials.'),
    ).toBeVisible()
  })
})
