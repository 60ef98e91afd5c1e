import { expect, test, type Page } from '@playwright/test'
import { readFileSync, readdirSync } from 'node:fs'
import { Installation } from './support/installation'
import { freshTrial, stage, trialNamed, typeStep } from './support/pages'

/** Waves: from a table dropped on a step to the report, from a photograph to a class, from two meters to the reason. */
test.describe.configure({ mode: 'serial' })
let place: Installation

test.beforeAll(async () => {
  place = Installation.create('demo')
  await place.start()
})
test.afterAll(() => place.remove())

/** A sine of 230 V with a third harmonic, as a scope saves it whose probe’s factor was not set. */
const table = [
  'time (ms);channel 1 (V)',
  ...Array.from({ length: 2300 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 200 + 0.4
    const volts = 3.2527 * (Math.sin(angle) + 0.021 * Math.sin(3 * angle))
    return `${(i / 10).toFixed(1)};${volts.toFixed(4)}`.replaceAll('.', ',')
  }),
].join('\n')

/** Drops a file on the place for waves. */
async function drop(page: Page, within: string, name: string, content: string): Promise<void> {
  const data = await page.evaluateHandle(
    ([fileName, text]) => {
      const transfer = new DataTransfer()
      transfer.items.add(new File([text ?? ''], fileName ?? '', { type: 'text/csv' }))
      return transfer
    },
    [name, content],
  )
  await page.getByText(within).dispatchEvent('drop', { dataTransfer: data })
}

test('a table dropped on a step gives the wave, decides the THD, and stands in the report', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Wave from a table', place.url)
  await page.goto(`${place.url}/trials/${trial}/ladder`)
  await typeStep(page, 'drying plate high', ['26.10', '26.0', '28.7', '230.2', '3.06', '704'])
  await expect(page.getByRole('row', { name: /drying plate high/ })).toBeVisible()
  await drop(page, 'Add a wave of this step', 'step.csv', table)

  // The probe was not set: said, and put right in one tap.
  await expect(page.getByText('the probe’s factor was not set.')).toBeVisible()
  await page.getByRole('button', { name: 'Take it times 100' }).click()
  await expect(page.getByText(/^A sine, flat-topped: 230 V RMS, 50.00 Hz, THD 2\.1/)).toBeVisible()
  await page.getByRole('button', { name: 'Keep this capture' }).click()
  await page.getByRole('link', { name: /A sine, flat-topped: 230 V RMS/ }).click()

  await expect(page.getByRole('heading', { name: 'What a meter would say' })).toBeVisible()
  await expect(page.getByText('Press in it for cursor A')).toBeVisible()
  // By keyboard: closer, both cursors, their difference.
  await page.getByRole('application').focus()
  for (const key of ['ArrowUp', 'a', 'b']) await page.keyboard.press(key)
  await expect(page.getByText(/B − A 38/)).toBeVisible()

  await stage(page, /Findings/).click()
  await expect(page.getByText(/The highest THD read is 2\.1/).first()).toBeVisible()
  await stage(page, /Report/).click()
  await expect(page.getByRole('heading', { name: 'Waves' })).toBeVisible()
  await expect(page.getByRole('columnheader', { name: '% of the fundamental' })).toBeVisible()
  // The next walk goes on from here, in a browser of its own.
  await expect(page.getByTestId('unsent')).toBeHidden()
})

test('what is no capture is said at its place, and nothing is lost', async ({ page }) => {
  const trial = await trialNamed(page, 'Wave from a table', place.url)
  await page.goto(`${place.url}/trials/${trial}/waves`)
  await drop(page, 'Add a wave', 'words.csv', 'hello\nworld')
  await expect(page.getByText('It holds no rows of numbers')).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await drop(page, 'Add a wave', 'half.csv', table.split('\n').slice(0, 120).join('\n'))
  await expect(page.getByText(/fewer than two whole cycles, so no harmonics and no class/)).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  const input = page.locator('input[type=file]')
  await input.setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(page.getByText('no.png is no picture')).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByRole('link', { name: 'drying plate high' })).toBeVisible()
})

test('a photograph of a screen shows a stepped wave, as an estimate', async ({ page }) => {
  const pictures = readdirSync('demo/files').map((name) => readFileSync(`demo/files/${name}`))
  // The one of a screen: photographs stand beside it.
  const picture = pictures.find(
    (bytes) => bytes.subarray(1, 4).toString() === 'PNG' && bytes.readUInt32BE(16) === 720,
  )
  if (!picture) throw new Error('The demo holds no picture.')
  const trial = await freshTrial(page, 'Wave from a picture', place.url)
  await page.goto(`${place.url}/trials/${trial}/waves`)
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'screen.png', mimeType: 'image/png', buffer: picture })
  // By keyboard alone: each corner of the grid is stepped to where it is in the picture.
  const corners = {
    'top left corner': [84, 52],
    'top right corner': [652, 84],
    'bottom right corner': [634, 452],
    'bottom left corner': [66, 470],
  } as const
  for (const [name, [x, y]] of Object.entries(corners)) {
    const handle = page.getByRole('button', { name: new RegExp(`^${name}`) })
    await handle.focus()
    const [, fromX = '0', fromY = '0'] =
      /at (\d+), (\d+)/.exec((await handle.getAttribute('aria-label')) ?? '') ?? []
    const go = async (by: number, back: string, on: string) => {
      const key = by < 0 ? back : on
      for (let i = 0; i < Math.floor(Math.abs(by) / 10); i++) await page.keyboard.press(`Shift+${key}`)
      for (let i = 0; i < Math.abs(by) % 10; i++) await page.keyboard.press(key)
    }
    await go(x - Number(fromX), 'ArrowLeft', 'ArrowRight')
    await go(y - Number(fromY), 'ArrowUp', 'ArrowDown')
  }
  await page.getByLabel('The grid spans from left to right').fill('50')
  await page.getByLabel('and from bottom to top').fill('800')
  await expect(page.getByText(/^Stepped: 22\d V RMS/)).toBeVisible()
  await page.getByRole('button', { name: 'Keep this picture' }).click()
  await expect(page.getByRole('row', { name: /screen.png/ })).toContainText('estimated')
})

test('two meters that disagree: the wave on which both are right', async ({ page }) => {
  const trial = await trialNamed(page, 'Pellam 900-12 for', place.url)
  await page.goto(`${place.url}/trials/${trial}/try-a-wave`)
  await page.getByLabel('An average-responding one reads').fill('213')
  await page.getByLabel('A true-RMS one reads').fill('226')
  await page.getByRole('button', { name: 'Make it fit these two' }).click()
  await expect(page.getByText('stands at its top for 72.0 % of each half cycle')).toBeVisible()
  await expect(page.getByRole('row', { name: /Pocket meter/ })).toContainText('212.8 V')
  await page.getByLabel('An average-responding one reads').fill('280')
  await page.getByRole('button', { name: 'Make it fit these two' }).click()
  await expect(page.getByText('at most 11 % are possible')).toBeVisible()
})
