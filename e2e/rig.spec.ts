import { expect, test, type Page } from '@playwright/test'
import { captureStep, demoUrl, freshTrial, trialNamed, typeStep } from './support/pages'

const press = async (page: Page, ...keys: string[]) => {
  for (const key of keys) await page.keyboard.press(key)
}
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name })

test('a rig is built from nothing by keyboard alone', async ({ page }) => {
  await page.goto(`${demoUrl()}/rigs/new`)
  await page.getByLabel('Name', { exact: true }).focus()
  await page.keyboard.type('Built by keyboard')
  await button(page, 'Add a battery in parallel').focus()
  await press(page, 'Enter')
  await expect(button(page, 'battery battery 2')).toBeVisible()
  await button(page, 'battery battery 1').focus()
  await press(page, 'Enter')
  await page.getByLabel('Internal resistance').focus()
  await page.keyboard.type('6')
  for (const [kind, side] of [
    ['fuse', 'positive'],
    ['cable', 'positive'],
    ['lug', 'positive'],
    ['cable', 'negative'],
  ] as const) {
    await button(page, `Add a ${kind} to the ${side} side`).focus()
    await press(page, 'Enter')
    if (kind === 'fuse') {
      await page.getByLabel('Rating').focus()
      await page.keyboard.type('125')
    }
    if (kind === 'cable') {
      await page.getByRole('textbox', { name: 'Gauge' }).focus()
      await page.keyboard.type('35 mm²')
      await page.getByLabel('Length, one way').focus()
      await page.keyboard.type('0.8')
    }
  }
  // The lug belongs at the post: twice to the left, then over to the negative side and back.
  await button(page, /^positive lug/).focus()
  await press(page, 'Alt+ArrowLeft', 'Alt+ArrowLeft')
  await expect(button(page, /^positive lug.*1 of 3 on the positive side/)).toBeFocused()
  await press(page, 'Alt+ArrowDown')
  await expect(button(page, /^positive lug.*on the negative side/)).toBeVisible()
  await press(page, 'Alt+ArrowUp')
  await press(page, 'ArrowRight', 'ArrowRight')
  await expect(button(page, /^positive lead/)).toBeFocused()
  await button(page, /^positive lug/).focus()
  await press(page, 'Delete')
  await expect(button(page, /^positive lug/)).toHaveCount(0)
  await page.getByLabel('Bank', { exact: true }).focus()
  await page.keyboard.type('Two lithium')
  // The second battery has no resistance yet: it is named, and the rest is computed.
  await expect(page.getByText(/need the resistance of battery 2/)).toBeVisible()
  await button(page, 'battery battery 2').focus()
  await press(page, 'Enter')
  await page.getByLabel('Internal resistance').focus()
  await page.keyboard.type('6')
  await expect(page.getByText(/at most .* out/)).toBeVisible()
  // One more in parallel takes over all that is known of the last.
  await button(page, 'Add a battery in parallel').focus()
  await press(page, 'Enter')
  await expect(button(page, 'battery battery 3')).toBeVisible()
  await expect(page.getByText(/at most .* out/)).toBeVisible()
  await page.getByLabel('Current into the unit, A').focus()
  await press(page, 'ArrowRight')
  await expect(page.getByText('Weakest link at 51 A')).toBeVisible()
  await button(page, /^Save$/).focus()
  await press(page, 'Enter')
  await expect(page.getByRole('link', { name: 'Built by keyboard' })).toBeVisible()
})

test('an element is dragged to another place', async ({ page }) => {
  const rigs = (await (await page.request.get(`${demoUrl()}/api/rigs`)).json()) as {
    id: string
    name: string
  }[]
  await page.goto(`${demoUrl()}/rigs/${rigs.find(({ name }) => name.startsWith('L24'))?.id}`)
  const shunt = button(page, /^shunt/)
  const target = button(page, /^positive lug/)
  await shunt.scrollIntoViewIfNeeded()
  const [from, to] = [await shunt.boundingBox(), await target.boundingBox()]
  if (!from || !to) throw new Error('not drawn')
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
  await page.mouse.down()
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 })
  await page.mouse.up()
  await expect(button(page, /^shunt, 300 A, 1 of 6 on the positive side/)).toBeVisible()
})

test('what is wrong with a rig is said at its part', async ({ page }) => {
  await page.goto(`${demoUrl()}/rigs/new`)
  await page.getByLabel('Name', { exact: true }).fill('Wrong')
  await page.getByLabel('Bank', { exact: true }).fill('Bank')
  await expect(page.getByText(/positive side has no cable/)).toBeVisible()
  await expect(page.getByText(/No fuse or breaker is in the path/)).toBeVisible()
  await button(page, 'Add a cable to the positive side').click()
  for (const [gauge, said] of [
    ['25', 'Is "25" in mm² or AWG? Add the unit.'],
    ['4 mm', 'mm is a thickness'],
  ] as const) {
    await page.getByRole('textbox', { name: 'Gauge' }).fill(gauge)
    await page.getByLabel('Length, one way').fill('1')
    await button(page, /^Save$/).click()
    await expect(page.getByText(said).first()).toBeVisible()
  }
  for (const gauge of ['0000', '-3', '4/0']) {
    await page.getByRole('textbox', { name: 'Gauge' }).fill(gauge)
    await expect(page.getByText(/positive side has no cable/)).toHaveCount(0)
  }
  await page.getByLabel('Expected resistance').fill('-2')
  await button(page, /^Save$/).click()
  await expect(page.getByText(/must be above 0/).first()).toBeVisible()
  await page.getByLabel('Expected resistance').fill('')
  await page.getByRole('textbox', { name: 'Gauge' }).fill('6 mm²')
  await button(page, 'Add a fuse to the positive side').click()
  await page.getByLabel('Rating').fill('200')
  await expect(page.getByText(/is bigger than positive lead carries/)).toBeVisible()
  await button(page, 'battery battery 1').click()
  await page.getByLabel('Rest volts').fill('13.0')
  await page.getByLabel('Internal resistance').fill('5')
  await button(page, 'Add a battery in parallel').click()
  await button(page, 'battery battery 2').click()
  await page.getByLabel('Rest volts').fill('13.4')
  await page.getByLabel('Internal resistance').fill('5')
  await expect(page.getByText(/Rest volts differ by 400 mV.*flow between them/)).toBeVisible()
})

test('a survey names the joint, a prediction is kept, and the change is made with its reason', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Survey')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await typeStep(page, 'plate low', ['26.27', '26.07', '14.35', '231.1', '1.54', '354'])
  await typeStep(page, 'plate high', ['26.10', '25.71', '29.0', '230.6', '3.06', '704'])
  await captureStep(page, 'oven + bath', ['25.92', '25.33', '44.15', '230.1', '4.58', '1051'])
  await page.goto(`${demoUrl()}/trials/${trial}/rig/survey`)
  await button(page, 'Capture').click()
  await expect(page.getByText('Survey: at least one element is read.')).toBeVisible()
  await page.getByLabel('Steady current').fill('44.15')
  for (const [name, mV] of [
    ['+ positive lead', '62'],
    ['− negative lug', '4k1'],
    ['− negative lead', '62'],
  ] as const) {
    await page.getByLabel(name, { exact: false }).fill(mV)
  }
  await button(page, 'Capture').click()
  await expect(page.getByText('"4k1" is not a number')).toBeVisible()
  await page.getByLabel('− negative lug').fill('441')
  await button(page, 'Capture').click()
  await expect(page.getByText('Fix the negative lug first')).toBeVisible()
  await expect(page.getByRole('row', { name: /negative lug .* hot/ })).toBeVisible()

  await page.getByRole('link', { name: 'What if' }).click()
  await page.getByLabel('Which').selectOption({ label: 'negative lug (lug)' })
  await button(page, 'Try it').click()
  await expect(page.getByText('If: negative lug remade')).toBeVisible()
  await button(page, 'Keep this prediction').click()
  await expect(page.getByText('Kept on rig 1')).toBeVisible()
  await expect(page.getByText('not made yet')).toBeVisible()

  await button(page, 'Try it').click()
  await button(page, 'Make the change').click()
  await expect(page.getByLabel('What changed, and why')).toHaveValue('negative lug remade')
  await button(page, 'Make the revision').click()
  await expect(page.getByText('Rig 2: negative lug remade').first()).toBeVisible()
})

test('a load test gives the resistance, and is taken back with a reason', async ({ page }) => {
  const trial = await freshTrial(page, 'Load test')
  await page.goto(`${demoUrl()}/trials/${trial}/rig/load-test`)
  await button(page, 'Load on: count 10 s').click()
  await expect(page.getByRole('timer')).toContainText(/\d+ s/)
  await page.getByRole('textbox', { name: 'At rest, V' }).fill('26.42')
  await page.getByRole('textbox', { name: 'At 10 s, V' }).fill('25.74')
  await page.getByRole('textbox', { name: 'Current at 10 s' }).fill('58')
  await button(page, 'Capture').click()
  await expect(page.getByRole('row', { name: /L24/ })).toContainText('11.7')
  await button(page, 'Take back').click()
  await page.getByRole('dialog').getByRole('textbox').fill('surface charge')
  await button(page, 'Take it back').click()
  await expect(page.getByText('No load test on this rig yet.')).toBeVisible()
})

test('the demo tells whose fault it was, and that the prediction came true', async ({ page }) => {
  const ottrel = await trialNamed(page, 'Ottrel 1400-24 for')
  await page.goto(`${demoUrl()}/trials/${ottrel}/ladder?rig=1`)
  const split = page.getByTestId('attribution')
  await expect(split).toContainText('went into the negative lug; a sound joint would take')
  await split.getByRole('button', { name: /^negative lug/ }).click()
  await expect(page.getByRole('dialog')).toContainText('R surveyed')
  await page.goto(`${demoUrl()}/trials/${ottrel}/findings`)
  await expect(page.getByText(/Not shown: a bad joint stopped the test\..* Stopped by hand/)).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${ottrel}/rig/what-if`)
  await expect(page.getByText('as predicted').first()).toBeVisible()
  await expect(page.getByText('than predicted')).toHaveCount(0)
  const pellam = await trialNamed(page, 'Pellam')
  await page.goto(`${demoUrl()}/trials/${pellam}/rig/supply?rig=2`)
  await expect(page.getByRole('row', { name: /equal leads to busbars/ })).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${pellam}/rig/supply?rig=1`)
  await expect(page.getByText('A claim of 900 W cannot be shown on it.')).toBeVisible()
})

test('cable and fuse are sized without a trial, and put into a rig', async ({ page }) => {
  const rigs = (await (await page.request.get(`${demoUrl()}/api/rigs`)).json()) as {
    id: string
    name: string
    version: number
  }[]
  const base = rigs.find(({ name }) => name.startsWith('L24'))
  const id = crypto.randomUUID()
  await page.request.put(`${demoUrl()}/api/rigs/${id}`, {
    data: { editedFrom: 0, content: { ...base, name: 'To be fitted' } },
  })
  await page.goto(`${demoUrl()}/cable`)
  await expect(page.getByText('70.5 A mean at the lowest input; × 1.25 is 88.1 A.')).toBeVisible()
  await page.getByLabel('Efficiency').fill('200')
  await expect(page.getByText('Accepted: 10 to 100 %.')).toBeVisible()
  await page.getByLabel('Efficiency').fill('92')
  await page.getByLabel('put the result into').selectOption('To be fitted')
  await page
    .getByRole('row', { name: /^25 mm²/ })
    .getByRole('button', { name: 'Put into the rig' })
    .click()
  await expect(page.getByText('To be fitted has these leads and this fuse now.')).toBeVisible()
  await page.getByLabel('Drop', { exact: false }).first().fill('1.21')
  await page.goto(`${demoUrl()}/rigs/${id}`)
  await expect(button(page, /^positive lead, 25 mm², 1.2 m/)).toBeVisible()
})
