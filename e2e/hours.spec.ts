import { expect, test, type Page } from '@playwright/test'
import { Installation } from './support/installation'
import { demoUrl, freshTrial, stage, trialNamed } from './support/pages'

/** Hours at the bench: a station run down, its ports and its sun; a bank of three half-way; tables of loggers. */

const open = (page: Page, trial: string, path: string, base = demoUrl()) =>
  page.goto(`${base}/trials/${trial}/${path}`)
const capture = (page: Page) => page.getByRole('button', { name: 'Capture', exact: true }).click()
const type = (page: Page, label: RegExp | string, text: string) =>
  page.getByRole('textbox', { name: label, exact: true }).fill(text)

/** Yesterday’s time of day as a field of date and time has it. */
const at = (clock: string) => {
  const day = new Date(Date.now() - 86_400_000)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}T${clock}`
}

interface Look {
  readonly at: string
  readonly watts?: string
  readonly counted?: string
  readonly gauge?: string
  readonly happened?: string
  readonly ended?: string
  readonly seen?: string
}

async function look(page: Page, one: Look) {
  if (one.watts) await type(page, /^watts at the outlet/, one.watts)
  if (one.counted) await type(page, /^watt-hours counted at the outlet/, one.counted)
  if (one.gauge) await type(page, /^Its gauge says/, one.gauge)
  if (one.happened) await page.getByLabel('What happened').selectOption(one.happened)
  if (one.ended) await page.getByLabel('It ended').selectOption(one.ended)
  if (one.seen) await type(page, 'Seen and heard', one.seen)
  await page.getByLabel('Read at').fill(at(one.at))
  await capture(page)
  await expect(page.getByText('The check-in is captured.').first()).toBeVisible()
}

async function begin(page: Page, watts: string, clock: string) {
  await type(page, 'Load', 'sand oven')
  await type(page, /^About/, watts)
  await page.getByLabel('Began at').fill(at(clock))
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await page.waitForURL(/endurance\/log/)
}

test('a station from nothing: run down at two loads, its ports and solar input, and what the report says of it', async ({
  page,
}) => {
  test.setTimeout(150_000)
  const place = Installation.create('nothing')
  try {
    await place.start('--empty')
    await page.goto(`${place.url}/begin`)
    await page.getByRole('button', { name: 'a power station' }).click()
    await type(page, 'Name', 'Harrow 850')
    await page.getByRole('button', { name: 'Begin', exact: true }).click()
    await expect(page.getByText('Enter the watt-hours on the label.')).toBeVisible()
    await type(page, /^Its store, on the label/, '1040')
    await page.getByRole('textbox', { name: 'On the label, W', exact: true }).fill('850')
    await page.getByLabel('Its wave').selectOption('sine')
    await page.getByLabel('Mains of your place').selectOption('120 V 60 Hz')
    await page.getByLabel('Meter 1').fill('plug wattmeter 1 % + 1')
    await page.getByLabel('Meter 2').fill('USB meter')
    await page.getByRole('button', { name: 'One more meter' }).click()
    await page.getByLabel('Meter 3').fill('DC wattmeter')
    await type(page, 'Your initials', 'R.O.')
    await page.getByRole('button', { name: 'Begin', exact: true }).click()
    await page.waitForURL(/answers/)
    await stage(page, /Endurance/).click()
    const id = /trials\/([^/]+)/.exec(page.url())?.[1] ?? ''
    await expect(page.getByTestId('station-ribbon')).toContainText('of 1040 Wh')

    await begin(page, '300', '08:00')
    await look(page, { at: '08:10', watts: '301', counted: '50', gauge: '97' })
    await expect(page.getByText(/It should end at about 10:5\d/)).toBeVisible()
    await page.getByRole('textbox', { name: /^watts at the outlet/ }).fill('0')
    await page.getByLabel('Read at').fill(at('07:00'))
    await capture(page)
    await expect(page.getByText('That is before this log began')).toBeVisible()
    await look(page, { at: '09:30', watts: '300', counted: '450', gauge: '55' })
    await look(page, { at: '10:54', counted: '871', ended: 'BMS' })
    await expect(
      page.getByText(/It gave 871 ± \d+ Wh of 1040 Wh \(84 %\) at 300 W, in 2 h 54 min/),
    ).toBeVisible()

    await open(page, id, 'endurance', place.url)
    await begin(page, '800', '13:00')
    await look(page, { at: '13:10', watts: '801', counted: '133' })
    await look(page, {
      at: '13:51',
      watts: '0',
      counted: '679',
      happened: 'stopped',
      seen: 'heat sign, outlet dead',
    })
    await look(page, { at: '14:00', watts: '800', counted: '680', happened: 'resumed' })
    await look(page, { at: '14:10', counted: '812', ended: 'BMS' })
    const run =
      /It gave 812 ± \d+ Wh of 1040 Wh \(78 %\) at 799 W, in 1 h 1 min; heat stopped it at 51 min, for 9 min/
    await expect(page.getByText(run)).toBeVisible()

    await open(page, id, 'ports', place.url)
    await type(page, 'Port', 'USB-C')
    await type(page, /^Its volts/, '20')
    await type(page, /^Amps and volts/, 'nonsense here\nmore')
    await capture(page)
    await expect(page.getByText(/Line 2: amps, then volts/)).toBeVisible()
    await type(page, /^Amps and volts/, '0 20.1\n1 19.96\n2 19.82\n2.1 19.81\n2.2 16\n2.3 11,5')
    await type(page, /^Lead, both ways/, '90')
    await capture(page)
    const folds = 'USB-C folds back at 2.1 A; the cable takes 0.2 V of it.'
    await expect(page.getByText(folds)).toBeVisible()

    await open(page, id, 'charging', place.url)
    for (const [V, A] of [
      ['14', '9.9'],
      ['18', '9.9'],
      ['24', '8.6'],
      ['30', '6.9'],
    ] as const) {
      await type(page, /^volts at the charge input/, V)
      await type(page, /^amps into the charge input/, A)
      await page
        .locator('form', { hasText: 'What its input takes' })
        .getByRole('button', { name: 'Capture' })
        .click()
      await expect(page.getByText(`at ${V}.0 V.`)).toBeVisible()
    }
    await expect(
      page.getByText(/It takes 9\.90 A up to about 20\.\d V, and 207 W above\./).first(),
    ).toBeVisible()

    await stage(page, /Report/).click()
    await expect(page.getByText(run).first()).toBeVisible()
    await expect(page.getByText(folds).first()).toBeVisible()
  } finally {
    await place.remove()
  }
})

test('a bank of three half-way: when it will stop, and which battery first', async ({ page }) => {
  const id = await trialNamed(page, 'Pellam 900-12 for')
  await open(page, id, 'endurance')
  await begin(page, '385', '08:00')
  await type(page, /^input current/, '35.2')
  await type(page, /^volts at the posts/, '12.69')
  await page.getByLabel('Read at').fill(at('08:05'))
  await page.getByRole('button', { name: 'Each battery by itself' }).click()
  const amps = page.getByRole('textbox', { name: /, amps/ })
  for (const [i, text] of ['9.1', '13.2', '12.9'].entries()) await amps.nth(i).fill(text)
  await capture(page)
  await expect(
    page.getByText(/It should end at about 1[2-4]:\d\d.*by an earlier run-down at this load/),
  ).toBeVisible()
  await expect(page.getByText(/By its share and its Ah .* empties first/)).toBeVisible()
  await type(page, /^input current/, '35.9')
  await page.getByLabel('Read at').fill(at('11:40'))
  const apps = page.getByRole('textbox', { name: /its app/ })
  for (const [i, text] of ['38', '55', '57'].entries()) await apps.nth(i).fill(text)
  await capture(page)
  await expect(page.getByText(/First to end: G12 is emptiest, by its own app at 38 %/)).toBeVisible()
  await expect(page.getByText(/Said before: 1[2-4]:\d\d/)).toBeVisible()
})

test('the table of a logger over midnight: its columns guessed, its gap and its counter told, looked at closely', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'A night’s run-down')
  await open(page, trial, 'endurance')
  await type(page, 'Load', 'lamps')
  await page.getByLabel('Began at').fill('2026-03-12T21:40')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await page.waitForURL(/endurance\/log/)
  await page.getByLabel('Choose a table').setInputFiles('packages/core/test/logs/run-down.csv')
  await expect(page.getByLabel('What column W out is')).toHaveValue('P_C')
  await expect(page.getByLabel('Unit of kWh out')).toHaveValue('1000')
  // Its rows are slow to go: until the server has them they are read here.
  await page.route('**/api/blobs/**', (route) => route.abort())
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByText('run-down.csv: 292 rows over 5 h 13 min')).toBeVisible()
  await expect(page.getByText('It passes midnight once.')).toBeVisible()
  await expect(page.getByText(/Nothing was logged for 23 min from 1 h 34 min on/)).toBeVisible()
  await page.getByRole('button', { name: 'Closer' }).click()
  await expect(page.getByText(/points of each line\./)).toBeVisible()
  await page.unroute('**/api/blobs/**')
  // What is no log says so, and nothing is lost.
  await page.getByLabel('Choose a table').setInputFiles({
    name: 'letter.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('dear all\nno figures\n'),
  })
  await expect(page.getByText(/It holds no rows of readings/)).toBeVisible()
  await expect(page.getByText('run-down.csv: 292 rows over 5 h 13 min')).toBeVisible()
})

test('modes: the threshold of search mode is found by halving', async ({ page }) => {
  const trial = await freshTrial(page, 'When it wakes')
  await open(page, trial, 'modes')
  await page.getByRole('button', { name: 'When it wakes' }).click()
  for (const [watts, woke, said] of [
    ['40', 'yes', 'try 20 W'],
    ['', 'no', 'try 30 W'],
    ['', 'yes', 'try 25 W'],
  ] as const) {
    if (watts) await type(page, /^Small load/, watts)
    await page.getByLabel('It woke').selectOption(woke)
    await capture(page)
    await expect(page.getByText(said)).toBeVisible()
  }
  await expect(page.getByText('It sleeps at 20 W and wakes at 30 W; try 25 W.')).toBeVisible()
})
