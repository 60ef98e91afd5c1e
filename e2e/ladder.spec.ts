import { expect, test } from '@playwright/test'
import { demoUrl, freshTrial, trialNamed, typeStep, stage } from './support/pages'

test('the remade lug brought B and the system up, but not the unit', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Ottrel 1400-24 for')}`)
  await stage(page, /Ladder/).click()
  const sentence = page.getByTestId('against-before')
  await expect(sentence).toContainText(/voltage at B up by 0\.6\d+/)
  await expect(sentence).toContainText(/efficiency of the system, A to C up by 2\.\d+/)
  await expect(sentence).toContainText(/efficiency of the unit, B to C unchanged/)
})

test('selecting a row changes the ribbon, a tap shows its readings, a figure its working', async ({
  page,
}) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Ottrel 1400-24 for')}/ladder?rig=1`)
  const ribbon = page.getByTestId('ribbon')
  await expect(ribbon).toContainText('sand oven high')
  await page.getByRole('button', { name: 'Choose step 50' }).click()
  await expect(ribbon).toContainText('drying plate high')
  await page.getByRole('button', { name: 'Tap B: its readings' }).click()
  const detail = page.getByRole('region', { name: 'Readings of the chosen step' })
  await expect(detail).toContainText('Bench DMM 1')
  await expect(detail).not.toContainText('Plug wattmeter')
  await expect(detail).toContainText('taken back: Two digits of V_B exchanged')

  await page
    .getByRole('row', { name: /drying plate high/ })
    .getByRole('button', { name: /± / })
    .click()
  const working = page.getByRole('dialog')
  await expect(working).toContainText('η_unit = P_C / P_B')
  await expect(working).toContainText('Plug wattmeter, active power to 3000: specification (common)')
  await working.getByRole('button', { name: 'P_B' }).click()
  await expect(working).toContainText('Ripple correction off')
  await page.keyboard.press('Escape')
  await expect(working).toBeHidden()
})

test('a ladder is typed, derived, repeated, corrected and taken back by keyboard alone', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await freshTrial(page, 'By keyboard')}/ladder`)
  await expect(page.getByText('No step yet.')).toBeVisible()
  await typeStep(page, 'plate low', ['26.24', '26,19', '14.45', '230.6', '1.53', '353'])
  await typeStep(page, 'plate high', ['26.07', '25.98', '28.75', '230.1', '3.05', '703'])
  await expect(
    page.getByText('No curve yet: 1 more loaded step with input and output power needed.'),
  ).toBeVisible()
  await typeStep(page, 'rod', ['25.71', '25.53', '59.05', '229', '6.12', '1.403k'])
  await expect(page.getByRole('row', { name: /rod/ })).toContainText('93.1 ± 1.5')
  await expect(page.getByRole('heading', { name: 'What the curve says' })).toBeVisible()
  await expect(page.getByText('p0', { exact: true })).toBeVisible()

  // R repeats the chosen step: the reading is averaged with the first.
  await page.getByRole('heading', { name: 'Ladder' }).click()
  await page.keyboard.press('r')
  await expect(page.getByRole('textbox', { name: /^V_A/ })).toBeFocused()
  for (const value of ['25.71', '25.51', '59.05', '229', '6.12', '1405']) {
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
  await page.keyboard.press('Control+Enter')
  await expect(page.getByRole('row', { name: /rod/ })).toContainText('×2')
  await expect(page.getByRole('row', { name: /rod/ })).toContainText('25.52')

  await page.getByRole('heading', { name: 'Ladder' }).click()
  await page.keyboard.press('Control+z')
  await page.getByRole('dialog').getByRole('textbox').fill('read at another load')
  await page.keyboard.press('Enter')
  await expect(page.getByText('taken back: read at another load')).toBeVisible()
  await expect(page.getByRole('row', { name: /rod/ })).not.toContainText('×2')
})

test('bad input is named at its field, oddities beside it, and nothing typed is lost', async ({ page }) => {
  const id = await freshTrial(page, 'Bad input')
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  await typeStep(page, 'plate', [
    '12.8.4',
    '26.3',
    'abc',
    '230',
    '1.5',
    '1234567890123456789012345678901234567890',
  ])
  await expect(page.getByText('V_A: "12.8.4" is not a number.')).toBeVisible()
  await expect(page.getByText('I: "abc" is not a number.')).toBeVisible()
  await expect(page.getByText('P_C: Too many digits: 15 at most.')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('textbox', { name: /^V_A/ })).toHaveValue('12.8.4')

  await page.getByRole('textbox', { name: /^V_A/ }).fill('26.1')
  await page.getByRole('textbox', { name: /^I,/ }).fill('13')
  await page.getByRole('textbox', { name: /^P_C/ }).fill('355')
  await expect(page.getByText(/B \(26\.3.* V\) is above A/)).toBeVisible()
  await expect(page.getByText(/The efficiency would be 10/)).toBeVisible()
  await page.getByRole('button', { name: 'Capture', exact: true }).click()
  await expect(page.getByRole('row', { name: /plate/ }).first()).toContainText('26.10')
  const odd = page.getByText('is above A').locator('..')
  await odd.getByRole('button', { name: 'Keep it' }).click()
  await page.getByRole('dialog').getByRole('textbox').fill('a charger hung at the terminals')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Kept: a charger hung at the terminals')).toBeVisible()
})

test('at arm’s length one prompt at a time fills the same step', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 })
  await page.goto(`${demoUrl()}/trials/${await freshTrial(page, 'Arm’s length')}/ladder`)
  await page.getByRole('button', { name: /Arm’s length/ }).click()
  await page.getByRole('button', { name: /I have read these/ }).click()
  await expect(page.getByText('What is connected?')).toBeVisible()
  await page.keyboard.type('kettle')
  await page.keyboard.press('Enter')
  for (const value of ['26.2', '26.0', '60.1', '229', '6.1', '1400', '1', '50', '1.6', '24']) {
    await page.keyboard.type(value)
    if (value === '60.1') {
      const size = await page
        .getByRole('dialog')
        .getByRole('textbox')
        .evaluate((element) => parseFloat(getComputedStyle(element).fontSize))
      expect(size).toBeGreaterThan(60)
    }
    await page.keyboard.press('Enter')
  }
  await expect(page.getByText('What is connected?')).toBeVisible()
  await page.getByRole('button', { name: 'Leave' }).click()
  await expect(page.getByRole('list', { name: 'Ladder' })).toContainText('kettle')
})

test('the duty is edited, refused beyond a day, and weighs the curve', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Ottrel 1400-24 for')}/ladder`)
  await page.getByRole('button', { name: 'Edit the duty' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Hours a day').first().fill('25')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog.getByText('Hours: a number from 0 to 24.')).toBeVisible()
  await dialog.getByLabel('Hours a day').first().fill('18')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByText('Duty', { exact: true })).toBeVisible()
})

test('charts are saved as SVG and PNG', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Ottrel 1400-24 for')}/ladder`)
  for (const kind of ['SVG', 'PNG']) {
    const waiting = page.waitForEvent('download')
    await page.getByRole('button', { name: `Save “Efficiency against output” as ${kind}` }).click()
    const download = await waiting
    expect(download.suggestedFilename()).toContain(kind.toLowerCase())
    const stream = await download.createReadStream()
    let size = 0
    for await (const chunk of stream) size += (chunk as Buffer).length
    expect(size).toBeGreaterThan(3000)
  }
})
