import { expect, test } from '@playwright/test'
import { captureStep, demoUrl, freshTrial, trialNamed } from './support/pages'

test('two revisions are compared: what is better, under what conditions, what was not tested', async ({
  page,
}) => {
  await page.goto(`${demoUrl()}/compare`)
  await page.getByRole('link', { name: 'Ottrel, revision B and C' }).click()
  const answer = page.getByRole('region', { name: 'The answer' })
  await expect(answer).toContainText(
    /rev C is better than Ottrel 1400-24 in idle draw \(less by 1\.9\d* ± 0\.0\d+ W\)/,
  )
  await expect(answer).toContainText('Not tested of Ottrel 1400-24 rev C: cutoff voltage.')
  await expect(page.getByRole('row', { name: /how it came/ })).toContainText('before production')
  await expect(page.getByRole('row', { name: /^surge power/ })).toContainText('not shown')
  // A difference opens to its working, which names the meter that read both.
  await page
    .getByRole('row', { name: /^idle draw ± ?|^idle draw 10/ })
    .getByRole('button', { name: /−1\.9/ })
    .click()
  await expect(page.getByRole('dialog')).toContainText('specification (common)')
  await page.keyboard.press('Escape')
  // What it comes from is said in its row, and stands there.
  await page.getByRole('button', { name: 'Why? idle draw differs' }).click()
  await page.getByLabel('Why idle draw differs').fill('a dimmer display')
  await page.keyboard.press('Tab')
  await expect(page.getByText('because of a dimmer display')).toBeVisible()
  // The other way round it is worse.
  await page.getByRole('button', { name: 'Hold the others against it' }).click()
  await expect(answer).toContainText('Ottrel 1400-24 is worse than Ottrel 1400-24 rev C in idle draw')
})

test('a comparison is made by keyboard, ranked by weights, kept by name, and found again', async ({
  page,
}) => {
  await page.goto(`${demoUrl()}/compare/new`)
  await page.getByLabel('Compare', { exact: true }).focus()
  await page.keyboard.type('Pellam 900-12 for')
  await page.getByRole('option', { name: /Pellam 900-12 for/ }).waitFor()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Compared: choose at least two.')).toBeVisible()
  await page.getByLabel('Lay beside it').focus()
  await page.keyboard.type('Ottrel 1400-24 for')
  await page.getByRole('option', { name: /Ottrel 1400-24 for/ }).waitFor()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Not alike: .*kinds of load/)).toBeVisible()
  await expect(page.getByText('Give at least one criterion a weight above 0.')).toBeVisible()
  await page.getByLabel('idle draw').fill('much')
  await expect(page.getByText('"much" is not a number.')).toBeVisible()
  await page.getByLabel('idle draw').fill('11')
  await expect(page.getByText('From 0 to 10.')).toBeVisible()
  await page.getByLabel('idle draw').fill('2,5')
  await expect(page.getByRole('listitem').filter({ hasText: '1. Pellam 900-12' })).toBeVisible()
  // Half of it survives a reload.
  await page.reload()
  await expect(page.getByText(/Not alike: /)).toBeVisible()
  await page.getByLabel('Keep it under the name').fill('Unlike ones')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved as Unlike ones.')).toBeVisible()
  await page.goto(`${demoUrl()}/compare`)
  await page.getByRole('link', { name: 'Unlike ones' }).click()
  await expect(page.getByLabel('idle draw')).toHaveValue('2.5')
  await page.getByRole('button', { name: 'Delete' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Unlike ones is back.')).toBeVisible()
})

test('what cannot be compared is said: a trial with itself, one without readings', async ({ page }) => {
  const bare = await freshTrial(page, 'Nothing read')
  await page.goto(`${demoUrl()}/compare/new?of=${bare}.1,${bare}.1`)
  await expect(page.getByText('it does not differ from itself')).toBeVisible()
  const read = await freshTrial(page, 'One step')
  await page.goto(`${demoUrl()}/trials/${read}/ladder`)
  await captureStep(page, 'plate', ['25.9', '25.6', '15.1', '230', '1.52', '350'])
  await page.goto(`${demoUrl()}/compare/new?of=${read}.1,${bare}.1`)
  await expect(page.getByText('No idle draw was measured.').or(page.getByText('–')).first()).toBeVisible()
  await expect(page.getByText(/has no curve/).first()).toBeVisible()
  await page.goto(`${demoUrl()}/compare/0192e4a0-0000-7000-8000-000000000001`)
  await expect(page.getByText('This comparison is not here any more.')).toBeVisible()
})

test('a trial is begun again for a later revision, and laid beside the first', async ({ page }) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 for')
  await page.goto(`${demoUrl()}/trials/${trial}/answers`)
  await page.getByRole('link', { name: 'A trial like this' }).click()
  await expect(
    page.getByText('Questions, hours and plan are those of “Ottrel 1400-24 for launch 2”.'),
  ).toBeVisible()
  await page.getByLabel('Unit').selectOption({ label: 'Ottrel 1400-24 rev C' })
  await expect(page.getByLabel('Rig')).not.toHaveValue('')
  await page.getByLabel('Title').fill('Rev C once more')
  await page.getByLabel('Your initials').fill('R.O.')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await page.waitForURL(/answers/)
  const id = /trials\/([^/]+)/.exec(page.url())?.[1] ?? ''
  await page.goto(`${demoUrl()}/trials/${id}/plan`)
  await expect(page.getByText('drying plate low').first()).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${id}/report/keep`)
  await page.getByRole('link', { name: 'Compare it' }).click()
  await expect(page.getByText('Compared: choose at least two.')).toBeVisible()
  await expect(page.getByText('Rev C once more')).toBeVisible()
})
