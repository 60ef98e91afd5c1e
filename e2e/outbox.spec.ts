import type { Entry } from '@even-watt/contract'
import { expect, test, type Page } from '@playwright/test'
import { Installation } from './support/installation'
import { freshTrial, typeStep } from './support/pages'

test.describe.configure({ mode: 'serial' })
let place: Installation

test.beforeAll(async () => {
  place = Installation.create()
  await place.start()
})
test.afterAll(() => place.remove())

const loadsStored = async (page: Page, trial: string) => {
  const answer = await page.request.get(`${place.url}/api/trials/${trial}/entries`)
  // While the database is away there is no list to compare with.
  if (!answer.ok()) return []
  const { entries } = (await answer.json()) as { entries: Entry[] }
  return entries.map((entry) => (entry.kind === 'ladder' ? entry.reading.load : entry.kind))
}

test('a server killed in the middle of entry loses nothing and doubles nothing', async ({ page }) => {
  test.setTimeout(120_000)
  const trial = await freshTrial(page, 'Killed server', place.url)
  await page.goto(`${place.url}/trials/${trial}/ladder`)
  await typeStep(page, 'before', ['26.2', '26.1', '14'])
  await expect.poll(() => loadsStored(page, trial)).toEqual(['before'])
  await place.kill()
  await typeStep(page, 'during one', ['26.1', '26.0', '20'])
  await typeStep(page, 'during two', ['26.0', '25.9', '30'])
  await expect(page.getByTestId('unsent')).toContainText('2 unsent, the server is away')
  await expect(page.getByRole('row', { name: /during two/ })).toContainText('25.90')
  const { output } = await place.start()
  expect(output).toContain('Even Watt is at')
  await expect(page.getByTestId('unsent')).toBeHidden({ timeout: 20_000 })
  await typeStep(page, 'after', ['25.9', '25.8', '40'])
  await expect.poll(() => loadsStored(page, trial)).toEqual(['before', 'during one', 'during two', 'after'])
})

test('a page closed with readings unsent sends them at the next visit', async ({ page, context }) => {
  const trial = await freshTrial(page, 'Closed page', place.url)
  await page.goto(`${place.url}/trials/${trial}/ladder`)
  await context.route('**/entries', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  )
  await typeStep(page, 'left behind', ['26.1', '26.0', '20'])
  await expect(page.getByTestId('unsent')).toBeVisible()
  await page.close()
  await context.unroute('**/entries')
  const again = await context.newPage()
  await again.goto(place.url)
  await expect.poll(() => loadsStored(again, trial)).toEqual(['left behind'])
})

test('PostgreSQL killed in the middle of entry comes back by itself, with every reading once', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const trial = await freshTrial(page, 'Killed database', place.url)
  await page.goto(`${place.url}/trials/${trial}/ladder`)
  await typeStep(page, 'before', ['26.2', '26.1', '14'])
  await expect.poll(() => loadsStored(page, trial)).toEqual(['before'])
  process.kill(place.postgresPid, 'SIGKILL')
  await typeStep(page, 'during', ['26.1', '26.0', '20'])
  await expect.poll(() => loadsStored(page, trial), { timeout: 30_000 }).toEqual(['before', 'during'])
  await expect(page.getByTestId('unsent')).toBeHidden()
  await typeStep(page, 'after', ['25.9', '25.8', '40'])
  await expect
    .poll(() => loadsStored(page, trial), { timeout: 20_000 })
    .toEqual(['before', 'during', 'after'])
})
