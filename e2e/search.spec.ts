import { expect, test } from '@playwright/test'
import { demoUrl, freshTrial } from './support/pages'

test('anything on the bench is found by its words, from everywhere', async ({ page }) => {
  await page.goto(`${demoUrl()}/units`)
  await expect(page.getByRole('heading', { name: 'Units' })).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.getByLabel('Go anywhere').fill('negative lug took')
  await page.getByRole('option', { name: 'Search everything for “negative lug took”' }).click()
  const ottrel = page.getByRole('link', { name: 'Ottrel 1400-24 for launch 2', exact: true })
  const finding = page
    .getByRole('listitem')
    .filter({ hasText: 'On rig 1 the negative lug took', has: ottrel })
  await expect(finding).toBeVisible()
  await finding.getByRole('link').click()
  await expect(page).toHaveURL(/\/findings/)
  await expect(page.getByRole('heading', { name: 'Findings' }).first()).toBeVisible()
  await page.goBack()
  await page.getByLabel('Search everything').fill('varnish lamp')
  await expect(page.getByRole('heading', { name: 'Remarks' })).toBeVisible()
  await page.getByLabel('Search everything').fill('no such thing anywhere')
  await expect(page.getByText('Nothing on this bench holds “no such thing anywhere”.')).toBeVisible()
})

test('what runs is seen from the bench, with when a look at it is due', async ({ page }) => {
  const trial = await freshTrial(page, 'Left running')
  const [log, at] = [crypto.randomUUID(), new Date(Date.now() - 25 * 60_000).toISOString()]
  await page.request.post(`${demoUrl()}/api/trials/${trial}/entries`, {
    data: [{ id: log, revision: 1, at, kind: 'log', reading: { what: 'run-down', load: 'a heater' } }],
  })
  await page.goto(demoUrl())
  const running = page.getByRole('region', { name: 'Running now' }).getByRole('listitem')
  await expect(running.filter({ hasText: 'Left running' })).toContainText(
    /run-down, a heater.*▲ a look was due/,
  )
  await running.getByRole('link', { name: 'Left running' }).click()
  await expect(page.getByRole('button', { name: /Capture|Check in/ }).first()).toBeVisible()
})
