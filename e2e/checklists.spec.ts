import { expect, test } from '@playwright/test'
import { demoUrl, freshTrial } from './support/pages'

test('a checklist is made once, worked on a rig, and what is open shows before the test', async ({
  page,
}) => {
  await page.goto(`${demoUrl()}/checklists/new`)
  await page.getByLabel('Name').fill('Shed terminals')
  await page.getByLabel('Lines, in the order').fill('stud 70 lb·in\nferrules\nbreaker off')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('link', { name: 'Shed terminals' })).toBeVisible()

  const trial = await freshTrial(page, 'With a checklist')
  await page.goto(`${demoUrl()}/trials/${trial}/look-over/checklists`)
  await page.getByLabel('List').selectOption({ label: 'Shed terminals' })
  await page.getByRole('button', { name: 'stud: done' }).click()
  await expect(page.getByText('Type the torque that was applied')).toBeVisible()
  await page.getByLabel('Torque applied at stud').fill('50 lb·in')
  await page.getByRole('button', { name: 'stud: done' }).click()
  await expect(page.getByText(/5\.65 N·m was applied, less than the 7\.91 N·m asked for/)).toBeVisible()
  await page.getByRole('button', { name: 'breaker off: wrong' }).click()
  await expect(page.getByText('Not worked before it: ferrules; the fault may lie there.')).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/no-load`)
  await expect(page.getByText('Open on rig 1: ferrules.')).toBeVisible()
  await page.getByRole('link', { name: 'Work it' }).click()
  await page.getByRole('button', { name: 'ferrules: done' }).click()
  await page.getByRole('button', { name: 'breaker off: done' }).click()
  await expect(page.getByText('Open lines')).toHaveCount(0)
})

test('a remark on the bench stands under its unit, and a diary of the unit is drawn over its days', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Remarked')
  await page.goto(`${demoUrl()}/trials/${trial}/look-over/remarks`)
  await page.getByLabel('It is a').selectOption('workaround')
  await page.getByLabel('In words').fill('Two taps on the switch wake it.')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Two taps on the switch wake it.')).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/look-over`)
  await page.getByRole('link', { name: 'Its life' }).click()
  await expect(page.getByText('Two taps on the switch wake it.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Remarked' }).first()).toBeVisible()
  const write = async (day: string, cycles: string) => {
    await page.getByLabel('Day').fill(day)
    await page.getByLabel('What').selectOption('cycles')
    await page.getByRole('textbox', { name: 'Read' }).fill(cycles)
    await page.getByRole('button', { name: 'Write it' }).click()
    await expect(page.getByText('The line is written.')).toBeVisible()
  }
  await write('2026-06-01', '12')
  await page.getByRole('textbox', { name: 'Read' }).fill('many')
  await page.getByRole('button', { name: 'Write it' }).click()
  await expect(page.getByText(/"many" is not a number/)).toBeVisible()
  await write('2026-07-01', '9')
  await expect(page.getByText(/On 1 Jul 2026 stands less than before/)).toBeVisible()
  await page.getByRole('button', { name: /Remove the line of 1 Jul 2026/ }).click()
  await expect(page.getByText('stands less than before')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('stands less than before')).toBeVisible()
})
