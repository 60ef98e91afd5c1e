import { expect, test } from '@playwright/test'
import { demoUrl, freshTrial, typeStep } from './support/pages'

test('a point in the wrong place is asked about before it is captured, and one tap answers', async ({
  page,
}) => {
  const id = await freshTrial(page, 'Slips')
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  await typeStep(page, 'plate high', ['252', '24.8', '41', '226', '4.0', '904'])
  const question = page.getByText('252 V, volts at the posts? That does not stand on this bench.')
  await expect(question).toBeVisible()
  await expect(page.getByText('Captured: plate high.')).toHaveCount(0)
  await page.getByRole('button', { name: 'It is 25.2 V' }).click()
  await expect(page.getByText('Captured: plate high.')).toBeVisible()

  // What is right all the same is captured as it was typed, and not asked about twice.
  await page.goto(`${demoUrl()}/trials/${id}/no-load`)
  await page.getByLabel('V_C: volts at the outlet').fill('2.4')
  await page.getByRole('button', { name: 'Capture', exact: true }).click()
  await page.getByRole('button', { name: 'It is 2.4 V all the same' }).click()
  await expect(page.getByText('The reading without load is captured.')).toBeVisible()
})

test('a meter more takes nothing away: what was read stands on the new rig', async ({ page }) => {
  const id = await freshTrial(page, 'A meter more')
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  await typeStep(page, 'plate high', ['25.2', '24.8', '41', '226', '4.0', '904'])
  await expect(page.getByText('Captured: plate high.')).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${id}/rig`)
  await page.getByRole('button', { name: 'Change the rig' }).click()
  await page.getByLabel('What changed, and why').fill('the leads were measured: 16 mm² it is')
  await page.getByLabel(/Nothing on the bench itself changed/).check()
  await page.getByRole('button', { name: 'Make the revision' }).click()
  await expect(page.getByRole('button', { name: /Rig 2/ })).toHaveAttribute('aria-pressed', 'true')
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  await expect(page.getByRole('button', { name: /Rig 2/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('row', { name: /plate high/ }).first()).toBeVisible()
  await expect(page.getByText('on rig 1')).toBeVisible()
})
