import { expect, test, type Page } from '@playwright/test'
import { demoUrl, freshTrial, stage, trialNamed } from './support/pages'

/** Limits, starts of machines and surge: from what a tester types to who stopped it, and to what another unit would start. */

const open = (page: Page, trial: string, path: string) => page.goto(`${demoUrl()}/trials/${trial}/${path}`)

/** Types an attempt and captures it. */
async function attempt(
  page: Page,
  motor: string,
  chosen: Record<string, string>,
  typed: Record<string, string>,
) {
  await page.getByLabel('Motor', { exact: true }).fill(motor)
  for (const [label, words] of Object.entries(chosen))
    await page.getByLabel(label, { exact: true }).selectOption(words)
  for (const [label, value] of Object.entries(typed)) await page.getByLabel(label).fill(value)
  await page.getByRole('button', { name: 'Capture', exact: true }).click()
  await expect(page.getByRole('row', { name: new RegExp(motor) }).first()).toBeVisible()
}

test('three failed starts, typed: the breaker, the bank and the unit stopped one each', async ({ page }) => {
  const trial = await freshTrial(page, 'Three failed starts')
  await open(page, trial, 'motors')
  await expect(page.getByText('No attempt on this rig yet.')).toBeVisible()
  await attempt(page, 'sample mill', { Outcome: 'tripped', 'What opened': 'breaker' }, {})
  await expect(page.getByText('The breaker opened.')).toBeVisible()
  await attempt(
    page,
    'transfer pump',
    { Outcome: 'tripped', 'What opened': 'not noted' },
    { 'Bank before': '24,9', 'Until it ran': '0.4', 'Lowest at B': '20.6' },
  )
  await expect(page.getByText(/The supply gave out: the terminals fell to 20\.6/)).toBeVisible()
  await attempt(
    page,
    'capacitor-start winch',
    { Outcome: 'stalled' },
    { 'Bank before': '26.5', 'Until it ran': '2.5', 'Lowest at C': '160', 'Lowest at B': '25.2' },
  )
  await expect(page.getByText(/The unit’s current limit: its output folded to 160/)).toBeVisible()
  await expect(
    page.getByText(/Capacitor-start winch \(attempt 3\) stalled: the unit gave out\./),
  ).toBeVisible()
  await stage(page, /Report/).click()
  await expect(page.getByText(/its output folded to 160/)).toBeVisible()
})

test('wrong keys get a sentence each, and nothing typed is lost', async ({ page }) => {
  const trial = await freshTrial(page, 'Wrong keys')
  await open(page, trial, 'motors')
  const capture = page.getByRole('button', { name: 'Capture', exact: true })
  for (const [label, value, said] of [
    ['Motor', '', 'Enter the motor.'],
    ['Attempt', '1000', 'Attempt: a whole number from 1 to 999.'],
    ['Until it ran', '0', 'must be above 0'],
    ['Lowest at C', '-5', 'Lowest V at C: a number from 0 to 2000.'],
  ] as const) {
    await page.getByLabel(label, { exact: label === 'Motor' || label === 'Attempt' }).fill(value)
    await capture.click()
    await expect(page.getByText(said)).toBeVisible()
    await page
      .getByLabel(label, { exact: label === 'Motor' || label === 'Attempt' })
      .fill({ Motor: 'pump', Attempt: '9', 'Until it ran': '', 'Lowest at C': '' }[label])
  }
  await page.getByLabel('Peak current').fill('3')
  await page.getByLabel('Running current').fill('4')
  await capture.click()
  await expect(
    page.getByText('Peak A: it cannot be under the running current; check which is which.'),
  ).toBeVisible()
  await expect(page.getByLabel('Peak current')).toHaveValue('3')
  await page.goto(`${demoUrl()}/loads`)
  await page.getByRole('link', { name: 'sieve shaker' }).click()
  await page.getByLabel('Shaft power').fill('0.5 hp')
  await page.getByLabel('Code letter').fill('i')
  await page.getByRole('button', { name: 'Save' }).first().click()
  await expect(page.getByText(/Code letter: one of A, B, C/).first()).toBeVisible()
})

/** A start as a logger writes it: 18 A at 70 % of the volts for 0.6 s, then 3 A. */
const start = [
  't/s,V_C/V,I_C/A,V_B/V',
  ...Array.from({ length: 4400 }, (_, i) => {
    const t = i / 2000 - 0.2
    const [V, I] = t < 0 ? [230, 0] : t < 0.6 ? [161, 18] : [227, 3]
    const angle = 2 * Math.PI * 50 * t
    return [
      t.toFixed(4),
      (Math.SQRT2 * V * Math.sin(angle)).toFixed(1),
      (Math.SQRT2 * I * Math.sin(angle - 0.7)).toFixed(2),
      '25.6',
    ].join(',')
  }),
].join('\n')

test('a capture of a start tells it all, and stands in the surge curve', async ({ page }) => {
  const trial = await freshTrial(page, 'A start captured')
  await open(page, trial, 'motors')
  await attempt(page, 'transfer pump', { Outcome: 'started' }, {})
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'start.csv', mimeType: 'text/csv', buffer: Buffer.from(start) })
  await page.getByRole('button', { name: 'Keep this capture' }).click()
  const row = page.getByRole('row', { name: /^1 transfer pump/ })
  await expect(row).toContainText('18.0')
  await expect(page.getByText(/The unit’s current limit: its output folded to 161/)).toBeVisible()
  await page.getByRole('button', { name: 'Look', exact: true }).click()
  await expect(page.getByRole('img', { name: /transfer pump, attempt 1: outlet/ })).toBeVisible()
  await expect(page.getByText(/may drop out: under 80 % for [56]\d\d ms/)).toBeVisible()
  await stage(page, /Limits/).click()
  await page.getByRole('link', { name: 'Surge and time' }).click()
  await expect(page.getByRole('row', { name: /^0\.5 s/ })).toContainText('transfer pump, attempt 1')
  await page.getByRole('button', { name: 'VA', exact: true }).click()
  await expect(page.getByText('Volt-amperes against time')).toBeVisible()
})

test('attempt by attempt at arm’s length, on a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 })
  const trial = await freshTrial(page, 'Starts from afar')
  await open(page, trial, 'motors')
  await page.getByRole('button', { name: 'Arm’s length' }).click()
  const large = page.getByRole('dialog')
  await large.getByRole('button', { name: /I have read these/ }).click()
  await large.getByRole('button', { name: 'Continue' }).click()
  await expect(large.getByText('Enter the motor.')).toBeVisible()
  await large.getByLabel('What is started?').fill('sieve shaker')
  await page.keyboard.press('Enter')
  await large.getByRole('button', { name: 'tripped', exact: true }).click()
  await large.getByRole('button', { name: 'nothing', exact: true }).click()
  await page.keyboard.type('1.5')
  await page.keyboard.press('Enter')
  await page.keyboard.type('twenty')
  await page.keyboard.press('Enter')
  await expect(large.getByText('"twenty" is not a number', { exact: false })).toBeVisible()
  await large.getByLabel(/lowest volts at the terminals/).fill('20.9')
  await page.keyboard.press('Enter')
  await large.getByRole('button', { name: 'Not read' }).click()
  await expect(large.getByText(/sieve shaker, attempt 1: tripped\. The supply gave out/)).toBeVisible()
  await large.getByRole('button', { name: 'Leave' }).click()
  await expect(page.getByRole('row', { name: /1 sieve shaker/ })).toBeVisible()
})

test('a peak without a time is judged at every window', async ({ page }) => {
  const trial = await trialNamed(page, 'Pellam 900-12 for the marsh hut')
  await open(page, trial, 'limits/surge')
  await expect(page.getByText(/Over its best 1 s it gave 136\d/)).toBeVisible()
  await expect(page.getByText(/No time is stated, so it is judged at 1 s/)).toBeVisible()
  await expect(page.getByText(/not met/).first()).toBeVisible()
})

test('which machines this unit and another start is read off a table', async ({ page }) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 for launch 2')
  await open(page, trial, 'will-it-start')
  await expect(page.getByText(/^Ottrel 1400-24 starts /)).toBeVisible()
  await expect(page.getByRole('columnheader', { name: /Pellam 900-12 on G12x3/ })).toBeVisible()
  const winch = page.getByRole('row', { name: /capacitor-start winch/ })
  await expect(winch).toContainText('It did not start it (attempt 5): the unit gave out.')
  await expect(winch).toContainText(/the unit gives no more than 15\d\d VA/)
  await expect(page.getByRole('row', { name: /sieve shaker/ })).toContainText(
    'only 391 VA was tried for as long',
  )
  await expect(page.getByRole('row', { name: /sieve shaker/ })).toContainText(/Ottrel 1400-24$/)
  await page.getByLabel('Beside a base load of').fill('1000')
  await expect(page.getByRole('row', { name: /sieve shaker/ })).toContainText('close')
  await page.getByLabel('Beside a base load of').fill('lots')
  await expect(page.getByText('"lots" is not a number', { exact: false })).toBeVisible()
})

test('limits are tested by keyboard and judged, taken back and restored', async ({ page }) => {
  const trial = await freshTrial(page, 'Limits by hand')
  await open(page, trial, 'limits')
  await expect(page.getByText('No limit is tested on this rig yet.')).toBeVisible()
  await page.getByRole('button', { name: /^Choose loads for 1470, 1750, 2100, 2700 W/ }).click()
  await page
    .getByRole('button', { name: /immersion rod/ })
    .first()
    .click()
  await expect(page.getByLabel('Load', { exact: true })).toHaveValue(/immersion rod/)
  await page.getByLabel('Load', { exact: true }).fill('kettle + rod')
  await page.getByLabel('At the outlet').fill('1.3k')
  await page.getByLabel('What ended it').selectOption('overload')
  await page.getByLabel('Lasted').fill('30')
  await page.getByLabel('Volts at B').fill('25.1')
  await page.keyboard.press('Control+Enter')
  await expect(
    page.getByText('Raised to 1300 W for 30 s (kettle + rod), then it gave up by overload.'),
  ).toBeVisible()
  await stage(page, /Findings/).click()
  await expect(page.getByText(/It gave up at 1300 ± \d+ W, by overload after 30 s/).first()).toBeVisible()
  await stage(page, /Limits/).click()
  await page.getByRole('button', { name: 'Alarm, cutoff, reconnect' }).click()
  await page.getByLabel('Volts at B').fill('21.9')
  await page.getByRole('button', { name: 'Capture', exact: true }).click()
  await expect(page.getByText('It warns with 21.90 V at the terminals.')).toBeVisible()
  await expect(page.getByText(/met It warns with 21\.9/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Function checks' }).click()
  await page.getByLabel('What was checked').fill('Remote switch')
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText('Remote switch: passed.')).toBeVisible()
  await page.getByRole('button', { name: 'Take back' }).last().click()
  await page.getByLabel('Why').fill('Wrong unit.')
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByText('Remote switch: passed.')).toHaveClass(/line-through/)
})
