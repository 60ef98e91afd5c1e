import { expect, test, type Page } from '@playwright/test'
import { Installation } from './support/installation'
import { stage } from './support/pages'

/** Benches that read hardly anything: no ammeter at all; nothing but the unit's own display. */
test.describe.configure({ mode: 'serial' })
let place: Installation

test.beforeAll(async () => {
  place = Installation.create('nothing')
  await place.start('--empty')
})
test.afterAll(() => place.remove())

interface Bench {
  readonly name: string
  readonly volts: string
  readonly watts: string
  readonly rig: string
  readonly meters: readonly string[]
  readonly at: string
}

async function begin(page: Page, bench: Bench): Promise<void> {
  await page.goto(`${place.url}/begin`)
  await page.getByLabel('Name', { exact: true }).fill(bench.name)
  await page.getByLabel('Nominal input').fill(bench.volts)
  await page.getByLabel('On the label').fill(bench.watts)
  await page.getByLabel('Its wave').selectOption('sine')
  const mains = page.getByLabel('Mains of your place')
  if (await mains.isVisible()) await mains.selectOption('230 V 50 Hz')
  await page.getByLabel('Bank, leads, fuse').fill(bench.rig)
  for (const [i, meter] of bench.meters.entries())
    await page.getByLabel(`Meter ${i + 1}`, { exact: true }).fill(meter)
  await page.getByLabel('DC volts are read at').selectOption(bench.at)
  await page.getByLabel('Your initials').fill('M.K.')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await page.waitForURL(/answers/)
  await stage(page, /No load/).click()
}

const typed = (page: Page, quantity: string) => page.locator(`[id^="entry ${quantity}|"]`).first()

test('without any ammeter: bounds in the ladder, the load test and the survey, and no verdict on efficiency', async ({
  page,
}) => {
  await begin(page, {
    name: 'Harrow 1000-12',
    volts: '12',
    watts: '1000',
    rig: '12 V 100 Ah AGM, 16 mm² 1.2 m, fuse 125 A',
    meters: ['multimeter 0.5 % + 2', 'plug wattmeter'],
    at: 'both',
  })
  await stage(page, /Ladder/).click()
  const rows = [
    ['lamps', '12.95', '12.68', '229', '250'],
    ['plate low', '12.79', '12.24', '228', '501'],
    ['plate high', '12.59', '11.69', '226.9', '782'],
  ] as const
  for (const [load, V_A, V_B, V_C, P_C] of rows) {
    await page.getByRole('textbox', { name: 'Load', exact: true }).fill(load)
    for (const [quantity, value] of Object.entries({ V_A, V_B, V_C, P_C }))
      await typed(page, quantity).fill(value)
    await page.getByRole('button', { name: 'Capture' }).click()
    await expect(page.getByRole('row', { name: new RegExp(load) })).toBeVisible()
  }
  await expect(page.getByTitle(/input current is assumed, not read/).first()).toBeAttached()

  await stage(page, /Rig/).click()
  await page.getByRole('link', { name: 'Load test' }).click()
  await page.getByRole('textbox', { name: 'At rest, V' }).fill('13.10')
  await page.getByRole('textbox', { name: 'At 10 s, V' }).fill('12.79')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(
    page.getByText('Amps at 10 s: type them, or without an ammeter the watts at the outlet.'),
  ).toBeVisible()
  await page.getByLabel('At the outlet at 10 s').fill('501')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByRole('row', { name: /mΩ/ })).toContainText('estimated')
  // What was captured is no draft, and the hand stands where the next test starts.
  await expect(page.getByText('Half typed before')).toHaveCount(0)
  await expect(page.getByLabel('What', { exact: true })).toBeFocused()

  await page.getByRole('link', { name: 'Drop survey' }).click()
  await page.getByLabel('Steady, at the outlet').fill('782')
  await page.getByLabel(/^\+ Fuse/i).fill('700')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByRole('heading', { name: /The newest survey/ })).toBeVisible()
  await expect(page.getByText(/fuse/i).first()).toBeVisible()

  await stage(page, /Findings/).click()
  await expect(page.getByText(/not shown|Not shown/).first()).toBeVisible()
})

test('with nothing but the display: the steps are kept, graded, and checked ones may stand in', async ({
  page,
}) => {
  await begin(page, {
    name: 'Harrow 1500-24',
    volts: '24',
    watts: '1500',
    rig: '24 V 150 Ah LiFePO4, leads as supplied, fuse 100 A',
    meters: ['plug wattmeter'],
    at: 'the posts',
  })
  await stage(page, /Ladder/).click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  const step = async (load: string, shown: Record<string, string>, read: Record<string, string> = {}) => {
    await page.getByRole('textbox', { name: 'Load', exact: true }).fill(load)
    for (const [label, text] of Object.entries(shown))
      await page.getByLabel(label, { exact: true }).fill(text)
    for (const [quantity, text] of Object.entries(read)) await typed(page, quantity).fill(text)
    await page.getByRole('button', { name: 'Capture' }).click()
    await expect(page.getByRole('row', { name: new RegExp(load) }).first()).toBeVisible()
  }
  await step('sand oven low', { 'in V': '26.0', 'out W': '626', 'out V': '227', 'bars of load': '2' })
  await expect(page.getByText('626').first()).toBeVisible()
  await step('plate', { 'out W': '308', 'out V': '228', 'bars of load': '1' }, { V_C: '228.6', P_C: '300' })
  await step('both', { 'out W': '914', 'out V': '226', 'bars of load': '3' }, { V_C: '226.6', P_C: '890' })
  await expect(page.getByRole('heading', { name: 'Its display against the meters' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Its bars' })).toBeVisible()
  const school = page.getByLabel(/the display may stand in for a meter/)
  await school.check()
  await expect(page.getByText('Between these checks it stands in for a meter.')).toBeVisible()
  await stage(page, /Findings/).click()
  await expect(page.getByText(/1500 W/).first()).toBeVisible()
  await expect(page.getByText(/not shown/i).first()).toBeVisible()
})
