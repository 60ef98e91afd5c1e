import { expect, test } from '@playwright/test'
import { captureStep, demoUrl, freshTrial, trialNamed } from './support/pages'

test('any figure is a column, held against anything; it stands in the CSV and in the report', async ({
  page,
}) => {
  const id = await freshTrial(page, 'Columns of my own')
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  await captureStep(page, 'plate low', ['25.8', '25.6', '20', '229', '2.0', '458'])
  await captureStep(page, 'plate high', ['25.2', '24.8', '41', '226', '4.0', '904'])
  // What goes beyond the rating is said before it is captured.
  await page.getByRole('textbox', { name: 'Load', exact: true }).fill('both plates')
  await page.getByRole('textbox', { name: /^P_C, watts at the outlet/ }).fill('1500')
  await expect(page.getByText('1500 W is 107 % of the 1400 W on its label')).toBeVisible()
  await page.getByRole('button', { name: 'Clear' }).click()
  await page.getByRole('button', { name: 'Add a column' }).click()
  const form = page.getByRole('region', { name: 'Columns of your own' })
  await form.getByLabel('Figure').selectOption({ label: 'volts at the outlet, V' })
  await form.getByLabel('Held against').selectOption('the step before')
  await form.getByLabel('Told as').selectOption({ label: 'the difference' })
  await form.getByRole('button', { name: 'Add it' }).click()
  const grid = page.getByRole('table', { name: 'Ladder', exact: true })
  await expect(grid.getByRole('columnheader', { name: 'V out V from step before' })).toBeVisible()
  await expect(grid.getByRole('row', { name: /plate high/ })).toContainText('−3.00')

  // What stands beside the readings becomes a column by one press, and goes by another.
  const pin = page.getByRole('button', {
    name: 'As a column: volts at the posts from the step before',
    exact: true,
  })
  await pin.click()
  await expect(grid.getByRole('row', { name: /plate high/ })).toContainText('−0.60')
  await pin.click()
  await expect(grid.getByRole('columnheader', { name: /V at posts/ })).toHaveCount(0)

  const csv = await (await page.request.get(`${demoUrl()}/api/trials/${id}/figures.csv`)).text()
  const [heads = '', , second = ''] = csv.split('\r\n')
  expect(heads).toContain('volts at the outlet from the step before [V]')
  expect(second.split(',')[heads.split(',').indexOf('volts at the outlet from the step before [V]')]).toBe(
    '-3',
  )
  await page.goto(`${demoUrl()}/trials/${id}/report`)
  await expect(page.getByRole('columnheader', { name: 'V out from step before, V' })).toBeVisible()
})

test('a limit of one’s own is judged, and what breaks it is marked', async ({ page }) => {
  const id = await freshTrial(page, 'Limits of my own')
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  await captureStep(page, 'lamp', ['26.2', '26.1', '4', '230', '0.4', '92'])
  await captureStep(page, 'plate high', ['25.2', '24.8', '41', '216', '4.0', '864'])
  await page.goto(`${demoUrl()}/trials/${id}/findings`)
  await page.getByRole('button', { name: 'Set a limit of your own' }).click()
  const form = page.getByRole('form', { name: 'A limit of your own' })
  await form.getByLabel('Figure').selectOption({ label: 'volts at the posts, V' })
  await form.getByLabel('It may be').selectOption('at least')
  const limit = form.getByRole('textbox', { name: /^Limit/ })
  await limit.fill('low')
  await limit.press('Enter')
  await expect(form.getByRole('alert')).toContainText('"low" is not a number.')
  await limit.fill('25,6')
  await limit.press('Enter')
  const line = page.getByRole('listitem').filter({ hasText: 'Volts at the posts, at least 25.6 V' })
  await expect(line).toContainText('not met')
  await expect(line).toContainText('It breaks first at plate high')
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  const grid = page.getByRole('table', { name: 'Ladder', exact: true })
  const broken = page.getByLabel('Breaks a limit of your own: volts at the posts, at least 25.6 V')
  await expect(grid.getByRole('row', { name: /plate high/ }).locator(broken)).toBeVisible()
  await expect(grid.getByRole('row', { name: /lamp/ }).locator(broken)).toHaveCount(0)
})

test('a figure is found by any of its words, and a slip of the hand is met', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Ottrel 1400-24 for')}/ladder`)
  await page.getByRole('button', { name: /^Go anywhere/ }).click()
  await page.getByLabel('Go anywhere').fill('phantom load')
  await page.getByRole('option', { name: /^Idle watts, in / }).click()
  await expect(page.getByRole('dialog')).toContainText('P_idle')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'No load' })).toBeVisible()
  await page.goto(`${demoUrl()}/search?q=inrsh`)
  await page.getByRole('button', { name: 'inrush', exact: true }).click()
  await expect(page.getByRole('link', { name: /^Most amps of a start/ })).toBeVisible()
})

test('any figure is a row of a comparison, with what differs, and a figure of the card', async ({ page }) => {
  await page.goto(`${demoUrl()}/compare`)
  await page.getByRole('link', { name: 'Ottrel, revision B and C' }).click()
  await page.getByRole('button', { name: 'Add a row' }).click()
  await page.getByLabel('Figure', { exact: true }).selectOption({ label: 'volts at the outlet, V' })
  await page.getByLabel('Over the loads').selectOption('lowest')
  await page.getByRole('button', { name: 'Add it' }).click()
  const row = page.getByRole('row', { name: /^volts at the outlet, lowest/ })
  await expect(row).toContainText('229')
  await expect(row).toContainText(/no difference shown|it differs/)
  await page.getByRole('button', { name: 'Take out: volts at the outlet, lowest' }).click()
  await expect(row).toHaveCount(0)

  const id = await freshTrial(page, 'A card of my own')
  await page.goto(`${demoUrl()}/trials/${id}/ladder`)
  await captureStep(page, 'plate high', ['25.2', '24.8', '41', '226', '4.0', '904'])
  await page.goto(`${demoUrl()}/trials/${id}/report/card`)
  await page.getByRole('button', { name: 'Add a figure' }).click()
  await page.getByLabel('Figure', { exact: true }).selectOption({ label: 'watts lost on the way, W' })
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('article')).toContainText('watts lost on the way, highest')
  await expect(page.getByRole('article')).toContainText('16.4')
})

test('looks are taken together, stand beside other trials, and equipment that minds them is named', async ({
  page,
}) => {
  const id = await freshTrial(page, 'Two looks at nothing')
  await page.goto(`${demoUrl()}/trials/${id}/no-load`)
  const field = (name: RegExp) => page.getByRole('textbox', { name })
  await page.getByText('What the unit shows itself').click()
  for (const [volts, amps] of [
    ['201', '0.5'],
    ['200', '0.9'],
  ] as const) {
    await field(/^V_A/).fill('24,4')
    await field(/^V_B/).fill('24,4')
    await field(/^I:/).fill(amps)
    await field(/^V_C/).fill(volts)
    await field(/^Display, output, V/).fill('229 to 232')
    await field(/^Display, bars of charge/).fill('5 of 5')
    await page.getByRole('button', { name: 'Capture' }).click()
    await expect(page.getByText(`V_C ${volts}`, { exact: false }).first()).toBeVisible()
  }
  // 24.4 V is low for 25.6 V of lithium iron phosphate, and all its bars are lit.
  await expect(page.getByText('The bank stood at 24.40 V with nothing connected')).toBeVisible()
  await expect(page.getByText('It shows 80 to 100 %. At 24.40 V a bank of this kind holds')).toHaveCount(2)
  const minds = page.getByRole('region', { name: 'Which equipment minds' })
  await expect(minds.getByRole('listitem').filter({ hasText: 'heaters' })).toContainText('■ minds')
  const together = page.getByRole('table', { name: 'looks with nothing connected, taken together' })
  await expect(together.getByRole('row', { name: /idle amps/ })).toContainText('0.4 A→ noise')
  await page.getByText('Beside the other trials of this bench').click()
  const beside = page.getByRole('table', { name: 'Beside the other trials' })
  await expect(beside.getByRole('row', { name: /^Idle watts (?!as)/ })).toContainText(/highest of \d/)
  await page.getByLabel('Only units of its size').check()
  await expect(beside.getByRole('row', { name: /^Idle watts (?!as)/ })).toContainText(/of \d/)

  // A display that jumps comes back as it was typed, and its error is a figure that a limit may be of.
  await expect(
    page.getByText('its display: output 229 to 232 V, 5 of 5 bars of charge').first(),
  ).toBeVisible()
})
