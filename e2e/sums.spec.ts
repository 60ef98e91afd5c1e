import { expect, test } from '@playwright/test'
import { demoUrl, freshTrial, trialNamed } from './support/pages'

test('sums are typed in any order by keyboard alone: what follows, what contradicts, what is missing', async ({
  page,
}) => {
  await page.goto(`${demoUrl()}/sums`)
  const entry = page.getByLabel('Type what you know')
  await entry.focus()
  for (const text of ['12.8 V', 'bank 6 mΩ', 'leads 5 mΩ', '1000 W', '88 %']) {
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
    await expect(entry).toHaveValue('')
  }
  await expect(page.getByText('1000 W draw 96.8 A from this battery.')).toBeVisible()
  const follows = page.getByRole('region', { name: 'What follows' })
  await expect(follows).toContainText('11.73 V')
  await expect(follows).toContainText('46.9 W')

  // What is missing is asked for where it is missing, and answered there.
  await page.getByRole('button', { name: /^Type How long it runs/ }).click()
  await page.keyboard.type('100 Ah')
  await expect(follows).toContainText('50 min')
  await expect(follows).toContainText('share of the battery that is used 80 % assumed')

  // A range goes in and comes out.
  await page.getByLabel('Resistance of the leads', { exact: true }).fill('4 to 6 mΩ')
  await expect(follows).toContainText('96.0 … 97.7 A')

  // A slip is said, and what was typed stays.
  await page.getByLabel('Resistance of the leads', { exact: true }).fill('5 mX')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByLabel('Resistance of the leads', { exact: true }).fill('5 mΩ')
  await entry.fill('battery amps 50 A')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Contradiction')).toBeVisible()

  await page.reload()
  await expect(page.getByLabel('Battery amps', { exact: true })).toHaveValue('50 A')
  await page.getByRole('button', { name: 'Remove battery amps' }).click()
  await expect(page.getByText('Contradiction')).toBeHidden()
  await page.getByRole('button', { name: 'Begin anew' }).click()
  await page.getByRole('button', { name: 'How hard does a motor start?' }).click()
  await page.keyboard.type('0.5')
  await page.keyboard.press('Enter')
  await page.keyboard.type('G')
  await expect(follows).toContainText('2800 … 3150 VA')
})

test('a step stands against nothing connected, nominal, the rating and the step before', async ({ page }) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 for')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder?rig=2`)
  // The last step is chosen until another is.
  const held = page.getByRole('table', { name: 'Held against' })
  await expect(held.getByRole('row', { name: /^watts at the outlet/ })).toContainText(/over it.*% of it/)
  await expect(held.getByRole('row', { name: /^volts at the outlet/ })).toContainText(/−2\.\d+ V/)
  await expect(held.getByRole('columnheader')).toContainText([
    'held against',
    'read',
    'nothing connected',
    'nominal or rated',
    'the step before',
  ])
})

test('a step begins a sheet; what is typed stands before what was measured; the sum is written down', async ({
  page,
}) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 for')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder?rig=2`)
  await page.getByRole('link', { name: 'Sums from this step' }).click()
  const entry = page.getByLabel('Type what you know')
  await expect(page.getByLabel('Watts at the outlet', { exact: true })).toHaveValue(/^1\d{3} ± \d+ W$/)
  await expect(page.getByText('Contradiction')).toHaveCount(0)
  for (const text of ['1.2 m', '25 mm²']) {
    await entry.fill(text)
    await page.keyboard.press('Enter')
    await expect(entry).toHaveValue('')
  }
  await expect(
    page.getByText('Resistance of the leads of the trial gave way to what you typed.'),
  ).toBeVisible()
  await expect(page.getByText('Contradiction')).toHaveCount(0)
  await expect(page.getByText(/^Usual fuses between|^No fuse fits|^No usual fuse/)).toBeVisible()
  // After a reload it is what was typed, not what it began with.
  await page.reload()
  await expect(page.getByLabel('Copper of each lead', { exact: true })).toHaveValue('25 mm²')
  await expect(page.getByLabel('Resistance of the leads', { exact: true })).toHaveCount(0)

  const own = await freshTrial(page, 'Reckoned before')
  await page.reload()
  await page.getByLabel('Expected in').selectOption(own)
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('Written down as expected in Reckoned before.')).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${own}/findings`)
  await expect(page.getByText(/draw .* A from this battery/)).toBeVisible()
})
