import { expect, test, type Page } from '@playwright/test'
import { Installation } from './support/installation'
import { stage } from './support/pages'

test.describe.configure({ mode: 'serial' })
let place: Installation

test.beforeAll(async () => {
  place = Installation.create('nothing')
  await place.start('--empty')
})
test.afterAll(() => place.remove())

/** One step of the ladder, typed where the meters of a minute hang. */
async function step(page: Page, load: string, held: string, values: Record<string, string>): Promise<void> {
  await page.getByRole('textbox', { name: 'Load', exact: true }).fill(load)
  for (const [quantity, value] of Object.entries(values))
    await page.locator(`[id^="entry ${quantity}|"]`).first().fill(value)
  await page.getByLabel('held, s').fill(held)
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByRole('row', { name: new RegExp(load) })).toBeVisible()
}

test('from nothing to findings with a multimeter at the posts, a clamp and a plug wattmeter, on 120 V', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await page.goto(place.url)
  await page.getByRole('link', { name: 'Begin in a minute' }).first().click()
  let fields = 0
  const fill = async (label: string, text: string) => {
    await page.getByLabel(label, { exact: true }).fill(text)
    fields += 1
  }
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await expect(page.getByText('Enter a name.')).toBeVisible()
  await fill('Name', 'Harrow 600-12')
  await expect(page.getByText('Enter a name.')).toBeHidden()
  await page.getByLabel('Nominal input').fill('12')
  await page.getByLabel('On the label').fill('600')
  await page.getByLabel('Its wave').selectOption('sine')
  await page.getByLabel('Mains of your place').selectOption('120 V 60 Hz')
  fields += 4
  await fill('Bank, leads, fuse', '12 V 100 Ah AGM, leads as supplied, fuse 100 A')
  await expect(page.getByText('Understood: 12 V 100 Ah AGM · leads not known · fuse 100 A')).toBeVisible()
  await fill('Meter 1', 'multimeter')
  await expect(page.getByText('typical of its kind, not from its manual').first()).toBeVisible()
  await fill('Meter 2', 'clamp 400 A 2 % + 3')
  await page.getByRole('button', { name: 'One more meter' }).click()
  await fill('Meter 3', 'plug wattmeter')
  await fill('Your initials', 'M.K.')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await page.waitForURL(/answers/)
  await stage(page, /No load/).click()
  await page.getByLabel('V_A: volts at the posts').fill('12.71')
  expect(fields).toBeLessThanOrEqual(12)
  await page.getByLabel('I: input current').fill('0.9')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByText('11.4').first()).toBeVisible()
  await expect(page.getByLabel('V_A: volts at the posts')).toHaveValue('')

  await stage(page, /Ladder/).click()
  await step(page, 'lamp', '', { V_A: '12.62', I: '10.1', V_C: '119', P_C: '99' })
  await step(page, 'heater low', '', { V_A: '12.40', I: '32.5', V_C: '119', P_C: '324' })
  await step(page, 'heater high', '600', { V_A: '12.1', I: '62.5', V_C: '118', P_C: '615' })
  await expect(page.getByText('3 steps, curve from A to C')).toBeVisible()
  await expect(page.getByText('Only the posts were read, so this is the unit with its leads')).toBeVisible()

  await stage(page, /Findings/).click()
  await expect(page.getByText('was carried for 10 min, as noted, against 600 W')).toBeVisible()
  await expect(page.getByText('The promise states no input volts and no temperature')).toBeVisible()

  await stage(page, /Rig/).click()
  await page.getByRole('link', { name: 'Supply' }).click()
  await expect(page.getByText('Nothing is known of the leads: this is as far as the posts')).toBeVisible()
  // The walks below go on from here, in a browser of their own.
  await expect(page.getByTestId('unsent')).toBeHidden()
})

test('what was read with a meter found faulty decides nothing, until it is trusted again', async ({
  page,
}) => {
  await page.goto(place.url)
  await page
    .getByRole('link', { name: /Harrow 600-12/ })
    .first()
    .click()
  await stage(page, /Rig/).click()
  const meter = page.getByRole('listitem').filter({ hasText: 'plug wattmeter' })
  await meter.getByRole('button', { name: 'found faulty or damaged' }).click()
  await page.getByLabel('Why, and what checked it?').fill('dropped; reads 30 W with nothing on')
  await page.getByRole('button', { name: 'Doubt it' }).click()
  await expect(meter.getByText('doubted: dropped')).toBeVisible()
  await stage(page, /Findings/).click()
  await expect(page.getByText('it is doubted: dropped; reads 30 W with nothing on').first()).toBeVisible()
  await stage(page, /Rig/).click()
  await meter.getByRole('button', { name: 'Trust again' }).click()
  await stage(page, /Findings/).click()
  await expect(page.getByText('was carried for 10 min, as noted, against 600 W')).toBeVisible()
})

test('a phone comes in by TLS and passphrase, and what it captures is on the laptop at once', async ({
  page,
  browser,
}) => {
  await page.goto(`${place.url}/phone`)
  await page.getByLabel('Passphrase').fill('reed-otter-lamp')
  await page.getByRole('button', { name: 'Let devices in' }).click()
  const address = await page.getByText(/^https:\/\/\d/).innerText()
  await expect(page.getByAltText(/Code to scan/)).toBeVisible()
  await page.goto(place.url)
  await page
    .getByRole('link', { name: /Harrow 600-12/ })
    .first()
    .click()
  await stage(page, /Ladder/).click()
  const trial = new URL(page.url()).pathname

  const phone = await browser.newContext({
    ignoreHTTPSErrors: true,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  })
  const hand = await phone.newPage()
  await hand.goto(address.split(' ')[0] ?? '')
  await hand.getByLabel('Passphrase').fill('wrong words here')
  await hand.getByLabel('Name of this device').fill('phone')
  await hand.getByRole('button', { name: 'Come in' }).click()
  await expect(hand.getByText('That is not the passphrase.')).toBeVisible()
  await hand.getByLabel('Passphrase').fill('reed-otter-lamp')
  await hand.getByLabel('Name of this device').fill('phone')
  await hand.getByRole('button', { name: 'Come in' }).click()
  await expect(hand.getByRole('heading', { name: 'Bench' })).toBeVisible()
  await hand.goto(new URL(trial, hand.url()).href)
  await hand.getByRole('button', { name: 'Arm’s length' }).tap()
  await hand.getByRole('button', { name: /I have read these/ }).tap()
  const prompt = hand.locator('#prompt')
  await prompt.fill('kettle')
  for (const value of ['12.3', '40', '119', '3.4', '400', '1', '60']) {
    await hand.getByRole('button', { name: 'Save and continue' }).tap()
    await prompt.fill(value)
  }
  await hand.getByRole('dialog').getByRole('button', { name: 'Capture' }).tap()
  await expect(page.getByRole('row', { name: /kettle/ })).toBeVisible()

  await page.goto(`${place.url}/phone`)
  await page.getByRole('button', { name: 'Shut out' }).click()
  await expect(page.getByText('shut out', { exact: true })).toBeVisible()
  await hand.goto(address.split(' ')[0] ?? '')
  await expect(hand.getByLabel('Passphrase')).toBeVisible()
  await phone.close()
})

test('figures are typed and read as the bench chose: comma, feet, AWG; what is kept stays the same', async ({
  page,
}) => {
  await page.goto(`${place.url}/settings`)
  await page.getByLabel('Decimal mark').selectOption(',')
  await page.getByLabel('Lengths in').selectOption('ft')
  await page.getByLabel('Cable sizes read in').selectOption('AWG')
  await page.getByLabel('Masses in').selectOption('lb')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.goto(`${place.url}/cable`)
  await expect(page.getByLabel('Length, one way')).toHaveValue('1,2 m')
  await page.goto(place.url)
  const onBench = page.getByText('On the bench:').getByRole('link', { name: /Harrow 600-12/ })
  await onBench.click()
  await expect(page.getByRole('list', { name: 'Questions' })).toBeVisible()
  await stage(page, /Findings/).click()
  await expect(page.getByText(/\d,\d+ ± \d/).first()).toBeVisible()
  await expect(page.getByText(/\d\.\d+ ± \d/)).toHaveCount(0)
  await stage(page, /Look over/).click()
  await page.getByRole('link', { name: 'Edit the unit' }).click()
  await page.getByLabel('Mass').fill('9')
  await page.getByLabel(/^Length/).fill('0,34 m')
  await page.getByLabel('Width').fill('0.1')
  await page.getByLabel('Height').fill('4')
  const unit = page.url()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page).not.toHaveURL(unit)
  await page.goto(`${place.url}/settings`)
  for (const [label, value] of [
    ['Decimal mark', '.'],
    ['Lengths in', 'm'],
    ['Cable sizes read in', 'mm²'],
    ['Masses in', 'kg'],
  ] as const)
    await page.getByLabel(label).selectOption(value)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.goto(unit)
  await expect(page.getByLabel('Mass')).toHaveValue('4.08233133')
  await expect(page.getByLabel(/^Length/)).toHaveValue('340')
  await expect(page.getByLabel('Width')).toHaveValue('2.54')
})
