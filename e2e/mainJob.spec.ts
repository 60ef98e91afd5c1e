import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { Installation } from './support/installation'
import { demoUrl, trialNamed, typeStep, stage } from './support/pages'

test.describe.configure({ mode: 'serial' })
let place: Installation

test.beforeAll(async () => {
  place = Installation.create('nothing')
  await place.start('--empty')
})
test.afterAll(() => place.remove())

test('from nothing to a curve and a verdict, in the browser alone', async ({ page }) => {
  test.setTimeout(120_000)
  await page.goto(`${place.url}/meters/new`)
  await page.getByLabel('Name', { exact: true }).fill('One for all')
  const ranges = [
    ['DC voltage', '60', '0.1', '2', '0.01'],
    ['DC current', '300', '0.5', '2', '50m'],
    ['AC voltage', '600', '0.8', '5', '0.1'],
    ['active power', '3k', '1', '1', '1'],
  ]
  for (const [i, [reads = '', ...numbers]] of ranges.entries()) {
    await page.getByRole('button', { name: 'Add a range' }).click()
    const range = page.getByRole('group', { name: `Range ${i + 1}` })
    await range.getByLabel('Reads').selectOption(reads)
    for (const [k, label] of ['Full scale', '± %', '± counts', 'Size of a count'].entries())
      await range.getByLabel(label).fill(numbers[k] ?? '')
  }
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('link', { name: 'One for all' })).toBeVisible()

  await page.goto(`${place.url}/units/new`)
  await page.getByLabel('Name', { exact: true }).fill('Harrow 700-24')
  await page.getByLabel('Nominal input').fill('24')
  await page.getByLabel('Output wave').selectOption('sine')
  await page.getByLabel('How it came').selectOption('bought')
  for (const [quantity, value] of [
    ['efficiency', '120'],
    ['continuous power', '700'],
    ['idle draw', '12'],
  ] as const) {
    await page.getByRole('button', { name: 'Add a claim' }).click()
    const claim = page.getByRole('group', { name: /Claim/ }).last()
    await claim.getByLabel('What').selectOption(quantity)
    await claim.getByLabel('Value').fill(value)
    await claim.getByLabel('Read where').fill('label')
  }
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('An efficiency over 100 % cannot be').first()).toBeVisible()
  await page.getByRole('group', { name: 'Claim 1' }).getByLabel('Value').fill('92')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('link', { name: 'Harrow 700-24', exact: true })).toBeVisible()

  await page.goto(`${place.url}/rigs/new`)
  await page.getByLabel('Name', { exact: true }).fill('Marsh hut rig')
  await page.getByLabel('Bank', { exact: true }).fill('Two in series')
  await page.getByLabel('Ripple resistance').fill('-5')
  await page.getByRole('button', { name: 'battery battery 1' }).click()
  await page.getByLabel('Chemistry').selectOption('AGM')
  await page.getByLabel('Nominal').fill('12')
  await page.getByLabel('Capacity').fill('100')
  await page.getByRole('button', { name: 'Add one in series' }).click()
  await page.getByRole('button', { name: 'Add a fuse to the positive side' }).click()
  await page.getByLabel('Rating').fill('100')
  for (const [side, gauge] of [
    ['positive', '25'],
    ['negative', '4 AWG'],
  ] as const) {
    await page.getByRole('button', { name: `Add a cable to the ${side} side` }).click()
    await page.getByRole('textbox', { name: 'Gauge' }).fill(gauge)
    await page.getByLabel('Length, one way').fill('4 ft')
  }
  for (const quantity of ['V_A', 'V_B', 'I', 'V_C', 'P_C']) {
    await page.getByRole('button', { name: 'Add a reading' }).click()
    const reading = page.getByRole('group', { name: /Reading/ }).last()
    await reading.getByLabel('Quantity').selectOption(quantity)
    await reading.getByLabel('Meter').selectOption('One for all')
  }
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Is "25" in mm² or AWG? Add the unit.').first()).toBeVisible()
  await expect(page.getByText('Ripple resistance, Ω: must be above 0').first()).toBeVisible()
  await page.getByRole('button', { name: /^positive lead/ }).click()
  await page.getByRole('textbox', { name: 'Gauge' }).fill('4/0')
  await page.getByLabel('Ripple resistance').fill('')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('cell', { name: /4\/0 AWG \(107 mm²\) copper, 1.2192 m/ })).toBeVisible()

  await page.goto(`${place.url}/trials/new`)
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByText('Choose the unit to test.').first()).toBeVisible()
  await page.getByLabel('Unit').selectOption('Harrow 700-24')
  await page.getByLabel('Rig').selectOption('Marsh hut rig')
  await page.getByLabel('Your initials').fill('M.K.')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('list', { name: 'Questions' })).toBeVisible()

  await stage(page, /No load/).click()
  await page.getByLabel(/^V_B/).fill('25.2')
  await page.getByLabel(/^I: input current/).fill('0,40')
  await page.getByLabel(/^V_C/).fill('231')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByText('10.1 ± ').first()).toBeVisible()
  await expect(page.getByText(/Only 8 counts/).first()).toBeVisible()

  await stage(page, /Ladder/).click()
  await typeStep(page, 'lamps', ['25.1', '25.08', '6.0', '230.8', '138'])
  await typeStep(page, 'plate low', ['24.9', '24.84', '15.2', '230.3', '350'])
  await typeStep(page, 'plate high', ['24.6', '24.49', '30.8', '229.6', '702'])
  await expect(page.getByRole('heading', { name: 'What the curve says' })).toBeVisible()
  await expect(page.getByText(/92 % holds/).first()).toBeVisible()

  await stage(page, /Findings/).click()
  await expect(page.getByText(/The peak, near|The best step/).first()).toBeVisible()
  await expect(page.getByText('Not shown: how long it was carried is not noted.').first()).toBeVisible()
  await page.getByLabel('limited by').first().selectOption('supply')
  await expect(page.getByText('Not shown: the supply gave out first.').first()).toBeVisible()

  await stage(page, /Motors/).click()
  await page.getByLabel('Motor', { exact: true }).fill('transfer pump')
  await page.getByLabel('Peak').fill('abc')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByText('"abc" is not a number')).toBeVisible()
  await page.getByLabel('Peak').fill('14')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByRole('cell', { name: /transfer pump/ })).toBeVisible()

  await stage(page, /Rig/).click()
  await page.getByRole('button', { name: 'Change the rig' }).click()
  await page.getByRole('button', { name: 'Make the revision' }).click()
  await expect(page.getByText('Say in a few words what changed.')).toBeVisible()
  await page.getByLabel('What changed, and why').fill('negative lug remade')
  await page.getByRole('button', { name: 'Make the revision' }).click()
  await expect(page.getByText('Rig 2: negative lug remade')).toBeVisible()
  await expect(page.getByText(/Revision 2,/)).toBeVisible()
})

test('a trial goes out of one installation and into another, figure for figure', async ({ page }) => {
  const id = await trialNamed(page, 'Ottrel 1400-24 for')
  const figures = async (base: string) => {
    await page.goto(`${base}/trials/${id}/findings`)
    await expect(page.getByText('is met').or(page.getByText('The peak, near')).first()).toBeVisible()
    // How the stages stand is worked out while the page rests.
    await expect(page.getByText('8 of 8 claims decided').first()).toBeVisible()
    await expect(page.getByText('7 steps').first()).toBeVisible()
    return page.getByRole('main').innerText()
  }
  const before = await figures(demoUrl())
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).click()
  await page.getByRole('link', { name: 'JSON', exact: true }).click()
  const file = await (await waiting).path()

  await page.goto(`${place.url}/import`)
  const text = readFileSync(file, 'utf8')
  const choose = (name: string, content: string) =>
    page
      .getByLabel('Choose a file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
  await choose('half.trial.json', text.slice(0, text.length / 2))
  await expect(page.getByText('half.trial.json is not a whole JSON document.')).toBeVisible()
  await choose('newer.trial.json', text.replace(/"formatVersion": \d+/, '"formatVersion": 10'))
  await expect(page.getByText('This file is of format version 10')).toBeVisible()
  await choose('whole.trial.json', text)
  await expect(page.getByRole('heading', { name: 'Ladder' })).toBeVisible()
  expect(await figures(place.url)).toBe(before)
})

test('readings come in from a spreadsheet with semicolons and decimal commas; a broken row is named', async ({
  page,
}) => {
  const trials = await trialNamed(page, 'Harrow', place.url)
  await page.goto(`${place.url}/trials/${trials}/readings?rig=1`)
  const csv = [
    'Load;V_A;Vb;Idc;Pout;Remark',
    'mat;25,1;25,09;3,1;61,5;',
    'rod;24,3;12.8.4;44,9;1012;broken',
    'oven;24,1;23,95;56;1180;',
  ].join('\r\n')
  const choose = (name: string, text: string) =>
    page.getByLabel('Choose a CSV').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await choose('bench.csv', csv)
  await expect(page.getByText('Row 3: V_B: "12.8.4" is not a number.')).toBeVisible()
  const take = page.getByRole('button', { name: 'Take 2 readings in' })
  await expect(take).toBeDisabled()
  await page.getByLabel(/Leave this row out/).check()
  await take.click()
  await expect(page.getByRole('row', { name: /oven/ })).toContainText('23.95')

  await page.goto(`${place.url}/trials/${trials}/readings?rig=1`)
  const large = [
    'Load,V_A,V_B',
    ...Array.from(
      { length: 120_000 },
      (_, i) =>
        `a load with a long name ${i},26.1,${i === 77_777 ? '12.8.4' : '26.0'},,,,,,,,,,,,,,,,,,,,,,,`,
    ),
  ].join('\n')
  await choose('large.csv', large)
  await expect(page.getByText('Row 77779: V_B: "12.8.4" is not a number.')).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('That is more than 5000 at once.')).toBeVisible()
  await choose('not.csv', 'only one line')
  await expect(page.getByText('at least one row below it. Nothing was taken in.')).toBeVisible()
})
