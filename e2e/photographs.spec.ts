import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { fromCamera } from './support/camera'
import { demoUrl, freshTrial, trialNamed } from './support/pages'

const sheet = (trial: string) => `${demoUrl()}/trials/${trial}/report/photographs`
const choose = (page: Page) => page.getByLabel('Take or choose photographs')

test('a photograph is kept upright, without place and serial number; marked, it stands at its promise', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Photographed')
  await page.goto(sheet(trial))
  await expect(page.getByText('No photograph yet.')).toBeVisible()
  const taken = await fromCamera(page)
  expect(taken.includes('SERIAL-4711')).toBe(true)
  await choose(page).setInputFiles({ name: 'IMG_0001.JPG', mimeType: 'image/jpeg', buffer: taken })
  const picture = page.locator('main img')
  await expect.poll(() => picture.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBe(800)
  await expect.poll(() => picture.evaluate((one: HTMLImageElement) => one.naturalHeight)).toBe(1200)
  await expect(page.getByTestId('unsent')).toBeHidden()
  const kept = await (await page.request.get(`${demoUrl()}${await picture.getAttribute('src')}`)).body()
  for (const told of ['SERIAL-4711', 'Exif']) expect(kept.includes(told)).toBe(false)

  await page.getByRole('link', { name: /A photograph/ }).click()
  await page.getByLabel('It shows').selectOption('label')
  const surface = page.getByRole('application', { name: /Marks on the photograph/ })
  const box = await surface.boundingBox()
  if (!box) throw new Error('nothing to draw on')
  await page.mouse.move(box.x + box.width * 0.2, box.y + box.height * 0.2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.6, box.y + box.height * 0.3)
  await page.mouse.up()
  await page.getByLabel('Promise at mark 1').selectOption({ label: 'continuous power, 1400 W' })
  await page.getByLabel('Words of mark 1').fill('AC watts')
  // By keys alone: another mark, moved and taken out again.
  await page.getByRole('button', { name: 'Arrow', exact: true }).click()
  await page.getByRole('button', { name: 'Put one in the middle' }).click()
  await surface.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByRole('button', { name: 'Remove mark 2' })).toBeVisible()
  await page.keyboard.press('Delete')
  await expect(page.getByRole('button', { name: 'Remove mark 2' })).toHaveCount(0)
  await page.reload()
  await expect(page.getByLabel('Words of mark 1')).toHaveValue('AC watts')
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByRole('link', { name: 'Label' })).toBeVisible()

  await page.goto(`${demoUrl()}/trials/${trial}/look-over`)
  const row = page.getByRole('row', { name: /continuous power/ })
  await expect(row.locator('img')).toBeVisible()
  await expect(page.getByRole('row', { name: /surge power/ }).locator('img')).toHaveCount(0)
})

test('what is no photograph is refused in a sentence, and nothing is kept', async ({ page }) => {
  const trial = await freshTrial(page, 'Hostile photographs')
  await page.goto(sheet(trial))
  const taken = await fromCamera(page)
  const bomb = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  )
  bomb.writeUInt32BE(30_000, 16)
  bomb.writeUInt32BE(30_000, 20)
  await choose(page).setInputFiles([
    { name: 'drawing.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('<svg onload="alert(1)"/>') },
    { name: 'bomb.png', mimeType: 'image/png', buffer: bomb },
    {
      name: 'phone.heic',
      mimeType: 'image/heic',
      buffer: Buffer.from('\0\0\0\x18ftypheic\0\0\0\0', 'latin1'),
    },
    { name: 'broken.jpg', mimeType: 'image/jpeg', buffer: taken.subarray(0, taken.length - 500) },
  ])
  await expect(page.getByText('drawing.jpg is a drawing (SVG), no photograph')).toBeVisible()
  await expect(page.getByText('bomb.png has 900 million pixels: up to 64 million are taken.')).toBeVisible()
  await expect(page.getByText('phone.heic is in HEIC, which this browser cannot read')).toBeVisible()
  await expect(page.getByText(/broken\.jpg is damaged: its picture/)).toBeVisible()
  await expect(page.getByText('No photograph yet.')).toBeVisible()
})

test('photographs wait in the browser while the server is away, and are seen meanwhile', async ({
  page,
  context,
}) => {
  const trial = await freshTrial(page, 'Photographed offline')
  await page.goto(sheet(trial))
  const taken = await fromCamera(page)
  await context.route('**/api/blobs/**', (route) => route.abort())
  await page.getByLabel('Keep the full size too, among the files').check()
  await choose(page).setInputFiles({ name: 'lug.jpg', mimeType: 'image/jpeg', buffer: taken })
  await expect(page.getByText('▲ unsent')).toBeVisible()
  const width = () => page.locator('main img').evaluate((one: HTMLImageElement) => one.naturalWidth)
  await expect.poll(width).toBe(800)
  await context.unroute('**/api/blobs/**')
  await expect(page.getByTestId('unsent')).toBeHidden({ timeout: 20_000 })
  await expect.poll(width).toBe(800)
  // The full size tells nothing either, and is still turned.
  await page.goto(`${demoUrl()}/trials/${trial}/report/files`)
  const link = page.getByRole('link', { name: 'lug.jpg' })
  const whole = await (await page.request.get(`${demoUrl()}${await link.getAttribute('href')}`)).body()
  expect(whole.includes('SERIAL-4711')).toBe(false)
  // Exif and a colour profile are all that went.
  expect(whole.length).toBeGreaterThan(taken.length - 1000)
  await page.goto(sheet(trial))
  await page.getByLabel('Keep the full size too, among the files').uncheck()
})

test('the photographs of a trial leave in its published report, inside the file', async ({ page }) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 rev C')
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(page.getByRole('heading', { name: 'Photographs' })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /Publish edition/ }).click(),
  ])
  const html = readFileSync(await download.path(), 'utf8')
  expect(html.match(/<img [^>]*src="data:image\/png;base64,/g)).toHaveLength(2)
  expect(html).toContain('The board of revision C')
  expect(html).not.toContain('/api/blobs/')
})

test('a unit described anew is taken into its trial; its link is read before it is opened', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Looked over')
  await page.goto(`${demoUrl()}/trials/${trial}/look-over/inside`)
  await expect(page.getByText('Nothing says yet that the link is dead.')).toBeVisible()
  await page.getByLabel('Across the internal link').fill('312')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByText('It still holds 312 V: touch nothing').first()).toBeVisible()
  await page.getByLabel('Across the internal link').fill('1,1')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByText('Read at 1.1 V, below 5 V: it is dead.').first()).toBeVisible()

  await page.goto(`${demoUrl()}/trials/${trial}/look-over`)
  const order = page.getByRole('region', { name: 'Order of looking over' })
  await expect(order.getByRole('listitem').filter({ hasText: 'inside' })).toContainText('done')
  await expect(order.getByText(/^Next:/)).toBeVisible()
  await page.getByRole('link', { name: 'Edit the unit' }).click()
  await page.getByLabel('Regional version').fill('UK')
  const editing = page.url()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page).not.toHaveURL(editing)
  await page.goto(`${demoUrl()}/trials/${trial}/look-over`)
  await page.getByRole('button', { name: 'Take it into this trial' }).click()
  await expect(page.getByText('In the box, UK')).toBeVisible()
  await expect(page.getByText('The unit was edited since')).toHaveCount(0)
})
