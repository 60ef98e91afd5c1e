import { expect, test } from '@playwright/test'
import { demoUrl } from './support/pages'

test('models are chosen by their labels and by what they have, each that does not do with why', async ({
  page,
}) => {
  const name = `Sibling ${Date.now()}`
  await page.goto(`${demoUrl()}/units/new`)
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page.getByLabel('Nominal input').fill('24')
  await page.getByRole('button', { name: 'Add a feature' }).click()
  await page.getByLabel('Feature', { exact: true }).fill('hardwiring terminals')
  await page.getByLabel('What of it').fill('none')
  await page.getByLabel('Price', { exact: true }).fill('210')
  await page.getByLabel('Price asked on').fill('2026-03-12')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText(/Saved|is saved/).first()).toBeVisible()
  await page.goto(`${demoUrl()}/units`)
  await page.getByRole('link', { name: 'Choose by the label' }).click()
  await page.getByLabel('Watts for good').fill('1200')
  await page.getByLabel('For a moment').fill('many')
  await expect(page.getByText('"many" is not a number.')).toBeVisible()
  await page.getByLabel('For a moment').fill('2000')
  await expect(page.getByRole('row', { name: /Corrick 850/ })).toContainText(
    '850 W for good: 350 W too little.',
  )
  const sibling = page.getByRole('row', { name: new RegExp(name) })
  await expect(sibling).toContainText('210 EUR, 12 Mar 2026')
  await expect(sibling).toContainText('not known')
  await page.getByLabel('hardwiring terminals').check()
  await expect(sibling).toContainText('It has no hardwiring terminals.')
  await page.reload()
  await expect(page.getByLabel('Watts for good')).toHaveValue('1200')
})
