import { expect, test } from '@playwright/test'
import { Installation } from './support/installation'
import { freshTrial, typeStep } from './support/pages'

let place: Installation

test.beforeAll(async () => {
  place = Installation.create()
  await place.start()
})
test.afterAll(() => place.remove())

test('a trial that was opened once opens again without the server, takes a step, and sends it later', async ({
  browser,
}) => {
  test.setTimeout(120_000)
  const context = await browser.newContext({ serviceWorkers: 'allow' })
  const page = await context.newPage()
  const trial = await freshTrial(page, 'Out of reach', place.url)
  await page.goto(`${place.url}/trials/${trial}/ladder`)
  await typeStep(page, 'before', ['26.2', '26.1', '14'])
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  await typeStep(page, 'and again', ['26.1', '26.0', '16'])
  // The worker keeps what came in once the hand rests.
  const kept = () =>
    page.evaluate(async (id) => {
      const names = (await caches.keys()).filter((name) => name.startsWith('kept '))
      const path = `/api/trials/${id}/entries?after=0`
      const found = await Promise.all(names.map((cacheName) => caches.match(path, { cacheName })))
      return (await Promise.all(found.map((one) => one?.text() ?? ''))).join()
    }, trial)
  await expect.poll(kept).toContain('and again')
  await place.kill()

  await page.reload()
  await expect(page.getByRole('row', { name: /and again/ })).toBeVisible({ timeout: 30_000 })
  await typeStep(page, 'out of reach', ['26.1', '26.0', '20'])
  await expect(page.getByTestId('unsent')).toContainText('1 unsent')
  // Another page of the same trial, opened without the server as well.
  await page.goto(`${place.url}/trials/${trial}/findings`)
  await expect(page.getByRole('heading', { name: 'Findings' })).toBeVisible({ timeout: 30_000 })

  await place.start()
  await expect(page.getByTestId('unsent')).toBeHidden({ timeout: 30_000 })
  const answer = await page.request.get(`${place.url}/api/trials/${trial}/entries`)
  expect(JSON.stringify(await answer.json())).toContain('out of reach')
  await context.close()
})
