import type { Schedule, Trial } from '@even-watt/contract'
import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { captureStep, demoUrl, freshTrial, trialNamed, typeStep, stage } from './support/pages'

const hoursFromNow = (hours: number) => new Date(Date.now() + hours * 3_600_000).toISOString()

/** A trial with a schedule of some blocks, that begins now and has the whole day. */
async function scheduled(page: Page, title: string, patch: Partial<Schedule>): Promise<string> {
  const id = await freshTrial(page, title)
  const trial = (await (await page.request.get(`${demoUrl()}/api/trials/${id}`)).json()) as Trial
  const schedule: Schedule = {
    startsAt: hoursFromNow(0),
    timeZone: 'UTC',
    opens: '00:00',
    closes: '23:59',
    charge: 1,
    settle: 60,
    dwell: 60,
    reading: 60,
    checkEvery: 10,
    blocks: [],
    ...patch,
  }
  const { title: named, by, hold, duty, limiters } = trial
  const answer = await page.request.put(`${demoUrl()}/api/trials/${id}`, {
    data: { editedFrom: trial.version, settings: { title: named, by, hold, duty, limiters, schedule } },
  })
  expect(answer.status()).toBe(200)
  return id
}

const blocksOf = (...kinds: Schedule['blocks'][number]['kind'][]): Schedule['blocks'] =>
  kinds.map((kind) => ({ id: crypto.randomUUID(), kind, fixed: false }))

test('a new user plans, prints and walks a ladder by keyboard alone', async ({ page }) => {
  // A morning: the day is long enough, whenever the test runs.
  await page.clock.setSystemTime('2026-03-12T09:00:00Z')
  const trial = await freshTrial(page, 'By keyboard')
  const press = async (name: string | RegExp) => {
    await page.getByRole('button', { name }).first().focus()
    await page.keyboard.press('Enter')
  }
  await page.goto(`${demoUrl()}/trials/${trial}/plan`)
  await page.getByLabel('% of rated, or W').focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('25 %; 50 %')
  await press('Choose the loads')
  await expect(page.getByText('Best possible')).toBeVisible()
  await page.getByRole('link', { name: 'Schedule', exact: true }).focus()
  await page.keyboard.press('Enter')
  await press('Make a schedule')
  await expect(page.getByText('Fits before 17:00')).toBeVisible()
  await expect(page.getByRole('row', { name: 'Ladder' })).toContainText('2 steps')

  await page.getByRole('link', { name: 'Run sheet' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Run sheet: By keyboard' })).toBeVisible()
  await expect(page.getByRole('cell', { name: 'drying plate low' })).toBeVisible()
  const pdf = (await page.pdf({ preferCSSPageSize: true, printBackground: true })).toString('latin1')
  expect(Math.round(Number(/MediaBox\s*\[0 0 ([\d.]+)/.exec(pdf)?.[1]))).toBe(842)
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes')
  })
  await press('Print')
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes')

  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  const planned = page.getByTestId('planned-next')
  for (const [load, values] of [
    ['drying plate low', ['26.27', '26.22', '14.35', '231.1', '1.54', '354']],
    ['drying plate high', ['26.1', '25.99', '29.1', '230.6', '3.06', '705']],
  ] as const) {
    await expect(planned).toContainText(`Planned next: ${load}`)
    await page.keyboard.press('p')
    for (const value of values) {
      await page.keyboard.type(value)
      await page.keyboard.press('Enter')
    }
    await page.keyboard.press('Control+Enter')
    await expect(page.getByTestId('as-planned')).toContainText(`read ${values[5]}`)
    await page.keyboard.press('Escape')
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  }
  await expect(planned).toHaveCount(0)
})

test('the rules move what they must and say so; what the tester fixes stays fixed', async ({ page }) => {
  const trial = await scheduled(page, 'Ruled', {
    blocks: blocksOf('ladder', 'no load', 'rated hold', 'findings'),
    charger: 30,
  })
  await page.goto(`${demoUrl()}/trials/${trial}/plan/schedule`)
  await expect(page.getByText('No load moved before ladder: idle draw is read')).toBeVisible()
  await expect(page.getByText('Cool-down: a thermal test starts within 5 K')).toBeVisible()
  const order = () =>
    page.locator('tr[id^="block"]').evaluateAll((rows) => rows.map((row) => row.getAttribute('aria-label')))
  expect(await order()).toEqual(['No load', 'Ladder', 'Rated hold', 'Findings'])

  await page.getByRole('row', { name: 'No load' }).focus()
  await page.keyboard.press('Alt+ArrowDown')
  await expect(page.getByText('No load stays after ladder, where you fixed it')).toBeVisible()
  expect(await order()).toEqual(['Ladder', 'No load', 'Rated hold', 'Findings'])
  await page.reload()
  await expect(page.getByRole('row', { name: 'No load' })).toContainText('(fixed)')
  await page.getByRole('row', { name: 'No load' }).getByRole('button', { name: 'Free' }).click()
  await expect(page.getByText('No load moved before ladder')).toBeVisible()

  // A length and a time that cannot be are refused where they stand.
  const length = page.getByLabel('Length of ladder, min')
  await length.fill('minus two')
  await length.press('Tab')
  await expect(page.getByText(/^Length: minutes above 0/)).toBeVisible()
  await expect(length).toHaveValue('minus two')
  // What is half typed below stays while a block is kept above.
  const charge = page.getByLabel('State of charge')
  await charge.fill('140')
  const kept = page.waitForResponse(
    (answer) => answer.request().method() === 'PUT' && answer.url().includes(trial),
  )
  await length.fill('45')
  await length.press('Tab')
  expect((await kept).ok()).toBe(true)
  await expect(page.getByRole('row', { name: 'Ladder' })).toContainText('45 min')
  const from = page.getByLabel('findings, not before')
  await from.fill('99:00')
  await from.press('Tab')
  await expect(page.getByText(/^Not before: a time of day/)).toBeVisible()

  // A bank in percent that cannot be.
  await expect(charge).toHaveValue('140')
  await page.getByRole('button', { name: 'Use these' }).click()
  await expect(page.getByText('State of charge: from 0 to 100 %.')).toBeVisible()
  await expect(charge).toHaveValue('140')
  await charge.fill('60')
  await page.getByRole('button', { name: 'Use these' }).click()
  await expect(page.getByRole('row', { name: 'No load' })).toContainText('60')
})

test('a block is dragged in the picture to another place', async ({ page }) => {
  const trial = await scheduled(page, 'Dragged', { blocks: blocksOf('rig', 'look over', 'findings') })
  await page.goto(`${demoUrl()}/trials/${trial}/plan/schedule`)
  const picture = page.getByRole('img', { name: /^Schedule from/ })
  const words = picture.getByText('Findings', { exact: true })
  const box = await words.boundingBox()
  const whole = await picture.boundingBox()
  if (!box || !whole) throw new Error('nothing is drawn')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(whole.x + 200, box.y, { steps: 5 })
  await page.mouse.move(whole.x + 50, box.y, { steps: 5 })
  await page.mouse.up()
  await expect(page.locator('tr[id^="block"]').first()).toContainText('Findings (fixed)')
})

test('the demo’s two days: a run-down waits for the bank to be filled overnight, and goes into a calendar', async ({
  page,
}) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Varnock')}/plan/schedule`)
  await expect(page.getByText('So it takes 2 days, until Fri 3 Apr')).toBeVisible()
  await expect(page.getByText('Motors moved before ladder')).toBeVisible()
  await expect(page.getByText(/Recharge overnight: the bank stands at \d+ % in the evening/)).toBeVisible()
  await expect(page.getByText(/The finish, Thu 2 Apr 16:30, is past/)).toBeVisible()
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Calendar (.ics)' }).click()
  const calendar = readFileSync(await (await waiting).path(), 'utf8')
  expect(calendar).toContain('SUMMARY:Check-in 1: Rated hold')
  expect(calendar).toContain('BEGIN:VALARM')
  expect(calendar).toContain('DTSTART:20260403T083000Z')
})

test('a schedule is run: started, paused, skipped, a check-in rings from any page and is made late', async ({
  page,
}) => {
  const [first, hold, last] = blocksOf('look over', 'rated hold', 'findings')
  if (!first || !hold || !last) throw new Error('three blocks')
  // A hold of three seconds: its check-in at the end comes at once.
  // What rings is counted in place of a loudspeaker and a desktop.
  await page.addInitScript(() => {
    const count = (what: string) => document.documentElement.setAttribute(`data-rang-${what}`, 'yes')
    class Notice {
      static permission = 'granted'
      static requestPermission = () => Promise.resolve('granted')
      readonly shown = count('notification')
    }
    class Sound extends AudioContext {
      override createOscillator() {
        count('sound')
        return super.createOscillator()
      }
    }
    Object.assign(window, { Notification: Notice, AudioContext: Sound })
  })
  const trial = await scheduled(page, 'Run', { blocks: [first, { ...hold, minutes: 0.05 }, last] })
  await page.goto(`${demoUrl()}/trials/${trial}/plan/run`)
  await expect(page.getByText('Next: Look over')).toBeVisible()
  await page.getByLabel('ring by sound').check()
  await page.getByLabel('ring by notification').check()
  await page.keyboard.press('s')
  const now = page.getByRole('region', { name: 'What runs now' })
  await expect(now).toContainText('Look over')
  await now.getByRole('button', { name: 'Pause' }).click()
  await expect(now).toContainText('Paused.')
  await now.getByRole('button', { name: 'Go on' }).click()
  await now.getByRole('button', { name: 'Finished' }).click()
  await page.getByRole('button', { name: 'Start rated hold' }).click()

  await stage(page, /Motors/).click()
  const strip = page.getByTestId('run-strip')
  await expect(strip).toContainText('Rated hold, check-in 1')
  await expect(page.locator('html[data-rang-sound="yes"][data-rang-notification="yes"]')).toHaveCount(1)
  await strip.getByLabel('Note for check-in 1').fill('Lug at 38 °C')
  await strip.getByRole('button', { name: 'Looked at it' }).click()
  await expect(strip).toHaveCount(0)

  await page.goto(`${demoUrl()}/trials/${trial}/plan/run`)
  await expect(page.getByText(/Rated hold, 1 ● made/)).toBeVisible()
  await page.getByRole('button', { name: 'Finished' }).click()
  await page.getByRole('button', { name: 'Skip findings' }).click()
  await expect(page.getByText('Everything in the schedule is done or skipped.')).toBeVisible()
  await expect(page.getByText('Skipped: findings.')).toBeVisible()

  // The record holds when it was due and when it was made.
  await expect(async () => {
    const answer = await page.request.get(`${demoUrl()}/api/trials/${trial}/entries`)
    const { entries } = (await answer.json()) as {
      entries: { at: string; reading: { action?: string; due?: string; note?: string } }[]
    }
    const check = entries.find(({ reading }) => reading.action === 'check-in')
    expect(check?.reading.note).toBe('Lug at 38 °C')
    expect(Date.parse(check?.at ?? '')).toBeGreaterThan(Date.parse(check?.reading.due ?? '') - 1000)
  }).toPass({ timeout: 20_000 })
})

test('what was written on paper is typed back in the same order', async ({ page }) => {
  const trial = await scheduled(page, 'Paper', { blocks: blocksOf('no load', 'ladder', 'motors') })
  await page.goto(`${demoUrl()}/trials/${trial}/plan/paper`)
  const first = page.getByLabel('nothing connected, time')
  await first.fill('7:75')
  await page.getByRole('button', { name: 'Take over nothing connected' }).click()
  await expect(page.getByText('Time: a time of day like 10:42, not "7:75".')).toBeVisible()
  await first.fill('07:15')
  for (const value of ['26.4', '26.38', '231.2', '50', '1.1', '0.405', '']) {
    await page.keyboard.press('Enter')
    await page.keyboard.type(value)
  }
  await page.keyboard.press('Enter')
  await expect(page.getByText('● taken over')).toBeVisible()

  await page.getByLabel('sieve shaker, time').focus()
  for (const value of ['07:40', 'empty', '26.2', '221', '3.4']) {
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
  await page.getByLabel('sieve shaker, outcome').selectOption('started')
  // Half a line is kept over a reload.
  await page.reload()
  await expect(page.getByLabel('sieve shaker, peak')).toHaveValue('3.4')
  await page.getByRole('button', { name: 'Take over sieve shaker' }).click()
  await expect(page.getByText('● taken over')).toHaveCount(2)
  await page.goto(`${demoUrl()}/trials/${trial}/motors`)
  await expect(page.getByRole('row', { name: /sieve shaker/ })).toContainText('started')
  await page.goto(`${demoUrl()}/trials/${trial}/no-load`)
  await expect(page.getByText('10.68').or(page.getByText('10.7')).first()).toBeVisible()
})

test('a run-down written on paper is a log once it is typed back, past midnight too', async ({ page }) => {
  const trial = await scheduled(page, 'Paper at night', {
    startsAt: '2026-03-12T21:00:00.000Z',
    opens: '20:00',
    closes: '06:00',
    blocks: blocksOf('run-down'),
  })
  await page.goto(`${demoUrl()}/trials/${trial}/plan/sheet`)
  await expect(page.getByRole('cell', { name: 'its end' })).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/plan/paper`)
  await page.getByRole('button', { name: 'Take over its end' }).click()
  await expect(page.getByText('Take over the first line first: it begins this log.')).toBeVisible()
  await page.getByLabel('it begins, time').fill('22:10')
  await page.getByLabel('it begins, P_C').fill('301')
  await page.getByRole('button', { name: 'Take over it begins' }).click()
  await expect(page.getByText('● taken over')).toHaveCount(1)
  await page.getByLabel('its end, time').fill('00:40')
  await page.getByLabel('its end, P_C').fill('299')
  await page.getByLabel('its end, it ended').selectOption('low voltage')
  await page.getByRole('button', { name: 'Take over its end' }).click()
  await expect(page.getByText('● taken over')).toHaveCount(2)
  await page.goto(`${demoUrl()}/trials/${trial}/endurance`)
  await expect(page.getByText(/2 h 30 min/).first()).toBeVisible()
})

test('a step that will alarm is named before it is switched on', async ({ page }) => {
  const trial = await freshTrial(page, 'Weak')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await typeStep(page, 'plate low', ['24.0', '23.9', '16.1', '230', '1.52', '350'])
  await typeStep(page, 'plate high', ['22.6', '22.4', '34.6', '229', '3.06', '700'])
  await captureStep(page, 'mat', ['25.0', '24.98', '3.2', '231', '0.26', '60'])
  await page.goto(`${demoUrl()}/trials/${trial}/plan`)
  await page.getByLabel('% of rated, or W').fill('75 %')
  await page.getByRole('button', { name: 'Choose the loads' }).click()
  await expect(page.getByRole('row', { name: /75 %/ })).toContainText('alarm')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await expect(page.getByTestId('planned-next')).toContainText('It will alarm on this supply')
  await expect(page.getByText(/the unit would be blamed for the supply/)).toBeVisible()
})
