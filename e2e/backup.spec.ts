import { expect, test } from '@playwright/test'
import { Installation } from './support/installation'
import { freshTrial, typeStep, stage } from './support/pages'

let from: Installation
let into: Installation
test.beforeAll(async () => {
  from = Installation.create()
  into = Installation.create()
  await Promise.all([from.start(), into.start()])
})
test.afterAll(() => Promise.all([from.remove(), into.remove()]))

test('a backup saved on the page comes back on the page of a new installation, and never over work', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Worth keeping', from.url)
  await page.goto(`${from.url}/trials/${trial}/ladder`)
  await typeStep(page, 'kettle', ['26.1', '26.0', '14.4', '230', '1.5', '350'])
  await expect(page.getByTestId('unsent')).toBeHidden()
  await page.goto(`${from.url}/backup`)
  const saving = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save a backup' }).click()
  const file = await (await saving).path()

  await page.goto(`${into.url}/backup`)
  const restore = async (name: string, buffer: Buffer | string) => {
    await page
      .getByLabel(/^Choose/)
      .setInputFiles(typeof buffer === 'string' ? buffer : { name, mimeType: 'application/zip', buffer })
    await page.getByRole('button', { name: /^Restore/ }).click()
  }
  await restore('cut.backup.zip', Buffer.from('not a backup'))
  await expect(page.getByText('This is no whole backup of Even Watt')).toBeVisible()
  await restore('whole', file)
  await expect(page.getByText('Restored and compared: 8 trials')).toBeVisible()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await page.getByRole('link', { name: 'Worth keeping' }).first().click()
  await stage(page, /Ladder/).click()
  await expect(page.getByRole('row', { name: /kettle/ })).toBeVisible()

  // It holds work now, so the same file is refused and all stays.
  await page.goto(`${into.url}/backup`)
  await restore('whole', file)
  await expect(page.getByText('holds trials or documents already; nothing was overwritten')).toBeVisible()
  await page.goto(`${into.url}/trials/${trial}/ladder`)
  await expect(page.getByRole('row', { name: /kettle/ })).toBeVisible()
})
