import type { TrialPage } from '@even-watt/contract'
import { expect, type Page } from '@playwright/test'

export const demoUrl = () => process.env['EVEN_WATT_DEMO'] ?? ''

/** Id of the demo trial whose title begins so. */
export async function trialNamed(page: Page, begins: string, base = demoUrl()): Promise<string> {
  const { trials } = (await (await page.request.get(`${base}/api/trials`)).json()) as TrialPage
  const found = trials.find((trial) => trial.title.startsWith(begins))
  if (!found) throw new Error(`No trial begins with ${begins}`)
  return found.id
}

/** A copy of the demo's rig and unit in a trial of its own, so that a test may write. */
export async function freshTrial(page: Page, title: string, base = demoUrl()): Promise<string> {
  const get = async (path: string) =>
    (await (await page.request.get(`${base}/api/${path}`)).json()) as { id: string; name: string }[]
  const unit = (await get('units')).find((candidate) => candidate.name === 'Ottrel 1400-24')
  const rig = (await get('rigs')).find((candidate) => candidate.name.startsWith('L24'))
  const id = crypto.randomUUID()
  const answer = await page.request.post(`${base}/api/trials`, {
    data: { id, unit: unit?.id, rig: rig?.id, title, by: 'R.O.' },
  })
  expect(answer.status()).toBe(201)
  return id
}

/** Types one step into the ladder by keyboard, Enter by Enter in reading order. */
export async function typeStep(page: Page, load: string, values: readonly string[]): Promise<void> {
  await page.getByRole('textbox', { name: 'Load', exact: true }).click()
  await page.keyboard.type(load)
  for (const value of values) {
    await page.keyboard.press('Enter')
    await page.keyboard.type(value)
  }
  await page.keyboard.press('Control+Enter')
}

/** Types a step, and waits until it is kept: a page that is left before that has it as a draft only. */
export async function captureStep(page: Page, load: string, values: readonly string[]): Promise<void> {
  await typeStep(page, load, values)
  await expect(page.getByText(`Captured: ${load}.`)).toBeVisible()
}

const parts: readonly (readonly [part: string, stages: RegExp])[] = [
  ['Unit', /Look over/],
  ['Rig', /^Rig|Make safe/],
  ['Measure', /Plan|No load|Ladder|Waves/],
  ['Limits and starts', /Limits|Motors/],
  ['Station', /Ports|Charging|Modes/],
  ['Result', /Findings|Report/],
]

/** A stage of the work order, by its words: its part is opened first, where it is not, and its page is there afterwards. */
export const stage = (page: Page, name: RegExp) => ({
  async click(): Promise<void> {
    const order = page.getByRole('navigation', { name: 'Work order' })
    const [part = ''] = parts.find(([, stages]) => stages.test(name.source)) ?? []
    const whole = order.getByRole('link', { name: new RegExp(`(^|done |begun |out )${part}`) }).first()
    const own = part === 'Unit' ? whole : order.getByRole('link', { name }).last()
    if (part) await whole.click()
    if (own !== whole) await own.click()
    await expect(own).toHaveAttribute('aria-current', 'page')
  },
})
