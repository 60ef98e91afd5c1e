import { expect, test } from '@playwright/test'
import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { demoUrl, freshTrial } from './support/pages'

test('files are attached, sent in parts once the server is there, and leave with the trial', async ({
  page,
  context,
}) => {
  const trial = await freshTrial(page, 'With files')
  await page.goto(`${demoUrl()}/trials/${trial}/report/files`)
  await expect(page.getByText('No file on this rig yet.')).toBeVisible()
  // The server is away for bytes: they wait in the browser, over a reload too.
  await context.route('**/api/blobs/**', (route) => route.abort())
  const log = randomBytes(2 * 2 ** 20 + 17)
  await page.getByLabel('Of', { exact: true }).selectOption({ label: 'positive lead' })
  await page.getByLabel('Note').fill('page 3')
  await page.getByLabel('Attach files').setInputFiles([
    { name: 'sheet.txt', mimeType: 'text/plain', buffer: Buffer.from('a data sheet') },
    { name: 'capture.bin', mimeType: 'application/octet-stream', buffer: log },
  ])
  await expect(page.getByText(/2 unsent, the server is away/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/2 unsent/)).toBeVisible()
  await context.unroute('**/api/blobs/**')
  await expect(page.getByTestId('unsent')).toBeHidden({ timeout: 20_000 })
  await expect(page.getByRole('link', { name: 'sheet.txt' })).toBeVisible()
  await expect(page.getByText('2.0 MB')).toBeVisible()
  await expect(page.getByText('of positive lead: page 3')).toHaveCount(2)

  const waiting = page.waitForEvent('download')
  await page.getByRole('link', { name: 'The trial with its files, as one ZIP' }).click()
  const archive = readFileSync(await (await waiting).path())
  expect(archive.includes(log.subarray(0, 64))).toBe(true)

  // It comes back from the archive after the trial itself is gone.
  const title = { title: 'With files' }
  await page.request.delete(`${demoUrl()}/api/trials/${trial}`, { data: title })
  await page.goto(`${demoUrl()}/import`)
  await page
    .getByLabel('Choose a file')
    .setInputFiles({ name: 'with-files.trial.zip', mimeType: 'application/zip', buffer: archive })
  await expect(page.getByRole('heading', { name: 'Ladder' })).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/report/files`)
  await expect(page.getByRole('link', { name: 'capture.bin' })).toBeVisible()
})

test('a file that is empty or too large is refused in a sentence', async ({ page }) => {
  const trial = await freshTrial(page, 'Bad files')
  await page.goto(`${demoUrl()}/trials/${trial}/report/files`)
  await page
    .getByLabel('Attach files')
    .setInputFiles([{ name: 'nothing.txt', mimeType: 'text/plain', buffer: Buffer.alloc(0) }])
  await expect(page.getByText('nothing.txt is empty.')).toBeVisible()
})
