import type { Entry } from '@even-watt/contract'
import { expect, test, type Page } from '@playwright/test'
import { demoUrl, freshTrial, typeStep } from './support/pages'

const entriesOf = async (page: Page, trial: string): Promise<Entry[]> => {
  const answer = await page.request.get(`${demoUrl()}/api/trials/${trial}/entries`)
  return ((await answer.json()) as { entries: Entry[] }).entries
}
const open = (page: Page, trial: string, stage: string) => page.goto(`${demoUrl()}/trials/${trial}/${stage}`)
/** Fills fields by their labels, going from one to the next with Enter. */
async function typeAlong(page: Page, first: string, values: readonly string[]): Promise<void> {
  await page.getByLabel(first).focus()
  for (const value of values) {
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
}

test('Enter goes to the next field in every form; only the last one, Ctrl+Enter or the button captures', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Enter')
  await open(page, trial, 'no-load')
  await typeAlong(page, 'V_A:', ['26.40', '26.39', '0.394', '230.6', '50'])
  await expect(page.getByLabel('THD:')).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(page.getByLabel('THD:')).not.toBeFocused()
  expect(await entriesOf(page, trial)).toEqual([])
  await page.getByLabel('THD:').focus()
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText('The reading without load is captured.')).toBeVisible()
  await expect(page.getByLabel('V_A:')).toBeFocused()
  await expect.poll(async () => (await entriesOf(page, trial)).length).toBe(1)

  await open(page, trial, 'motors')
  await page.getByLabel('Motor', { exact: true }).fill('transfer pump')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Its state')).toBeFocused()
  await page.getByLabel('Note').fill('by eye')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('row', { name: /transfer pump/ })).toHaveCount(1)
  await expect(page.getByLabel('Attempt', { exact: true })).toHaveValue('2')
  await expect.poll(async () => (await entriesOf(page, trial)).length).toBe(2)
})

test('after a capture the keys of the ladder work, and letters begin the next name', async ({ page }) => {
  const trial = await freshTrial(page, 'Keys after a capture')
  await open(page, trial, 'ladder')
  await typeStep(page, 'plate', ['26.1', '26.0', '14.4', '230', '1.5', '350'])
  await expect(page.getByText('Captured: plate.')).toBeVisible()
  await page.keyboard.press('r')
  await expect(page.getByRole('textbox', { name: /^V_A/ })).toBeFocused()
  await page.getByRole('button', { name: 'Clear' }).click()
  await page.getByRole('button', { name: /The next step starts here/ }).focus()
  await page.keyboard.type('kettle')
  await expect(page.getByRole('textbox', { name: 'Load', exact: true })).toHaveValue('kettle')
})

test('what the contract does not take is said at its field, and nothing is captured', async ({ page }) => {
  const trial = await freshTrial(page, 'Out of reach')
  await open(page, trial, 'ladder')
  await page.getByLabel('held, s').fill('2000000')
  await typeStep(page, 'plate', ['26.1', '26.0'])
  await expect(page.getByText(/Held for: .*up to 1000000/)).toBeVisible()
  expect(await entriesOf(page, trial)).toEqual([])
  await page.getByLabel('held, s').fill('600')
  await page.keyboard.press('Control+Enter')
  await expect.poll(async () => (await entriesOf(page, trial)).length).toBe(1)
})

test('every half-typed form survives a reload, marked as a draft; one cut in half breaks no screen', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Drafts')
  const forms = [
    ['no-load', 'V_A:'],
    ['motors', 'Motor'],
    ['rig/load-test', 'At rest'],
    ['rig/survey', 'Steady current'],
    ['ladder', 'Load'],
  ] as const
  for (const [stage, label] of forms) {
    await open(page, trial, stage)
    const field = page.getByLabel(label, { exact: stage === 'motors' || stage === 'ladder' }).first()
    await field.fill('26.4')
    await page.reload()
    await expect(field).toHaveValue('26.4')
    if (stage !== 'ladder') await expect(page.getByText('Half typed before, kept in this tab')).toBeVisible()
  }
  await page.goto(`${demoUrl()}/units/new`)
  await page.getByLabel('Name', { exact: true }).fill('Half a unit')
  await page.reload()
  await expect(page.getByText('What you typed here before was kept.')).toBeVisible()

  const other = await page.context().newPage()
  await open(other, trial, 'motors')
  await expect(other.getByLabel('Motor', { exact: true })).toHaveValue('')
  await other.close()

  for (const cut of [(text: string) => text.slice(0, text.length / 2), () => 'null', () => '{"texts":7}']) {
    await page.evaluate(
      (texts) => texts.forEach(([key, text]) => sessionStorage.setItem(key, text)),
      (await page.evaluate(() => Object.entries({ ...sessionStorage } as Record<string, string>))).map(
        ([key, text]) => [key, cut(text)] as const,
      ),
    )
    for (const [stage, label] of forms) {
      await open(page, trial, stage)
      const field = page.getByLabel(label, { exact: stage === 'motors' || stage === 'ladder' }).first()
      await expect(field).toHaveValue('')
      await field.fill('1')
    }
    await page.goto(`${demoUrl()}/units/new`)
    await expect(page.getByLabel('Name', { exact: true })).toBeVisible()
    await page.getByLabel('Name', { exact: true }).fill('again')
  }
})

test('a browser that keeps nothing still captures: straight to the server, and it says so', async ({
  browser,
}) => {
  const context = await browser.newContext()
  await context.addInitScript(() => {
    for (const store of ['indexedDB', 'localStorage', 'sessionStorage'])
      Object.defineProperty(globalThis, store, {
        get() {
          throw new DOMException('not here', 'SecurityError')
        },
      })
  })
  const page = await context.newPage()
  const trial = await freshTrial(page, 'Nothing kept')
  await open(page, trial, 'ladder')
  await typeStep(page, 'plate', ['26.1', '26.0', '14.4', '230', '1.5', '350'])
  await expect.poll(async () => (await entriesOf(page, trial)).length).toBe(1)
  await expect(page.getByText('This browser keeps no reading meanwhile')).toBeVisible()
  await page.getByRole('button', { name: 'Night' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night')
  await context.close()
})

test('one entry that is refused is set aside with why; the others are sent, and it is dropped only once it is saved', async ({
  page,
}) => {
  const [gone, stays] = [await freshTrial(page, 'Gone meanwhile'), await freshTrial(page, 'Stays')]
  await open(page, gone, 'ladder')
  await expect(page.getByText('No step yet.')).toBeVisible()
  const title = { title: 'Gone meanwhile' }
  expect((await page.request.delete(`${demoUrl()}/api/trials/${gone}`, { data: title })).status()).toBe(204)
  await typeStep(page, 'plate', ['26.1', '26.0'])
  await expect(page.getByText('1 not taken by the server, kept here')).toBeVisible()
  await open(page, stays, 'ladder')
  await typeStep(page, 'rod', ['26.1', '26.0'])
  await expect.poll(async () => (await entriesOf(page, stays)).length).toBe(1)

  await page.reload()
  await page.getByText('1 not taken by the server, kept here').click()
  await expect(page.getByText('This trial is not here.')).toBeVisible()
  await expect(page.getByRole('textbox')).toContainText('"load": "plate"')
  const drop = page.getByRole('button', { name: 'Drop it here' })
  await expect(drop).toBeDisabled()
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save to a file' }).click()
  await waiting
  await drop.click()
  await expect(page.getByText('Nothing is set aside')).toBeVisible()
})

test('of two set-aside entries one is corrected and captured anew, one sent again', async ({ page }) => {
  const trial = await freshTrial(page, 'To correct')
  await open(page, trial, 'ladder')
  let refuse = true
  await page.route('**/entries', async (route) => {
    if (route.request().method() !== 'POST' || !refuse) return route.continue()
    const body = route.request().postDataJSON() as { revision: number }[]
    return route.continue({ postData: JSON.stringify(body.map((entry) => ({ ...entry, revision: 9 }))) })
  })
  await typeStep(page, 'plate', ['26.1', '26.0'])
  await expect(page.getByText('1 not taken by the server, kept here')).toBeVisible()
  await typeStep(page, 'rod', ['26.1', '26.0'])
  await page.getByText('2 not taken by the server, kept here').click()
  await expect(page.getByText('names rig revision 9').first()).toBeVisible()
  refuse = false
  const items = page.getByRole('main').locator('section')
  const holding = async (load: string) => {
    const first = await items.nth(0).getByRole('textbox').inputValue()
    return items.nth(first.includes(load) ? 0 : 1)
  }
  await (await holding('rod')).getByRole('button', { name: 'Send again' }).click()
  await expect(items).toHaveCount(1)
  const text = page.getByRole('textbox')
  await text.fill((await text.inputValue()).replace('"plate"', '"plate, corrected"'))
  await page.getByRole('button', { name: 'Capture it as corrected' }).click()
  await expect(page.getByText('Nothing is set aside')).toBeVisible()
  await expect
    .poll(async () => (await entriesOf(page, trial)).map((one) => one.kind === 'ladder' && one.reading.load))
    .toEqual(['rod', 'plate, corrected'])
})

test('two browsers on one trial: a reading comes to the other by itself', async ({ page, browser }) => {
  const trial = await freshTrial(page, 'Two browsers')
  const second = await (await browser.newContext()).newPage()
  await open(page, trial, 'ladder')
  await open(second, trial, 'ladder')
  await expect(second.getByText('No step yet.')).toBeVisible()
  for (const load of ['plate', 'rod', 'oven']) {
    await typeStep(page, load, ['26.1', '26.0', '14.4', '230', '1.5', '350'])
    await expect(page.getByRole('row', { name: new RegExp(load) }).first()).toBeVisible()
    await expect(second.getByRole('row', { name: new RegExp(load) }).first()).toBeVisible()
  }
  await second.context().close()
})

test('readings that an earlier Even Watt kept in the browser are brought along and sent, in their order', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Kept before')
  // A page of this address that does not open the store itself.
  await page.goto(`${demoUrl()}/theme.js`)
  await page.evaluate(
    (id) =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('even-watt', 1)
        request.onupgradeneeded = () => {
          const store = request.result.createObjectStore('unsent', { autoIncrement: true })
          store.createIndex('id', 'id', { unique: true })
        }
        request.onerror = () => reject(new Error('no store'))
        request.onsuccess = () => {
          const transaction = request.result.transaction('unsent', 'readwrite')
          for (const load of ['first', 'second', 'third']) {
            const entry = {
              id: crypto.randomUUID(),
              revision: 1,
              at: new Date().toISOString(),
              stage: 'motors',
              reading: { number: 1, load, outcome: 'started' },
            }
            transaction.objectStore('unsent').add({ trial: id, entry, id: entry.id })
          }
          transaction.oncomplete = () => {
            request.result.close()
            resolve()
          }
        }
      }),
    trial,
  )
  await page.goto(demoUrl())
  await expect
    .poll(async () =>
      (await entriesOf(page, trial)).map((entry) =>
        entry.kind === 'motors' ? entry.reading.load : entry.kind,
      ),
    )
    .toEqual(['first', 'second', 'third'])
})
