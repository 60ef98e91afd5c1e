import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { demoUrl, freshTrial, trialNamed, typeStep, stage } from './support/pages'

test('day and night are chosen by hand and kept', async ({ page }) => {
  await page.goto(demoUrl())
  await page.getByRole('button', { name: 'Night' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night')
  await page.getByRole('button', { name: 'Day' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'day')
})

test('a server that fails is said in words, and is asked again by itself', async ({ page }) => {
  await page.route('**/api/trials?*', (route) =>
    route.fulfill({
      status: 503,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: 'about:blank',
        status: 503,
        title: 'The database does not answer just now.',
      }),
    }),
  )
  await page.goto(demoUrl())
  await expect(page.getByText('The database does not answer just now.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Try again' })).toBeVisible()
  await page.unroute('**/api/trials?*')
  // It is asked again by itself; nobody needs to press anything.
  await expect(page.getByRole('table', { name: 'All trials' })).toBeVisible()
})

test('a trial and a unit that are not there are said so', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/0192e4a0-0000-7000-8000-000000000001/ladder`)
  await expect(page.getByText('This trial is not here.')).toBeVisible()
  await page.goto(`${demoUrl()}/units/0192e4a0-0000-7000-8000-000000000001`)
  await expect(page.getByText('This unit is not here any more.')).toBeVisible()
})

test('what is ticked or chosen stands at once, whatever older look at the trial comes back', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Ticked and chosen')
  // As on a slow machine: the next frame is long in coming.
  await page.addInitScript(() => {
    window.requestAnimationFrame = (draw) => window.setTimeout(() => draw(performance.now()), 300)
  })
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await page.getByText('Compose it').click()
  const part = page.getByRole('list', { name: 'Parts of the report' }).getByRole('checkbox').first()
  const after = await part.evaluate(async (box: HTMLInputElement) => {
    const { port1, port2 } = new MessageChannel()
    const next = new Promise((resolve) => (port1.onmessage = resolve))
    box.click()
    port2.postMessage('as soon as the click is done with')
    await next
    return box.checked
  })
  expect(after).toBe(false)
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible()

  await page.goto(`${demoUrl()}/trials/${trial}/findings`)
  const time = page.getByLabel(/continuous.+ without a time means/)
  await expect(time).toHaveValue('600')
  const gate = () => {
    let open = () => undefined as void
    return { shut: new Promise<void>((resolve) => (open = resolve)), open: () => open() }
  }
  const [look, save] = [gate(), gate()]
  await page.route(`**/api/trials/${trial}`, async (route) => {
    const isLook = route.request().method() === 'GET'
    const response = isLook ? await route.fetch() : undefined
    await (isLook ? look : save).shut
    await route.fulfill({ response: response ?? (await route.fetch()) })
  })
  const looked = page.waitForRequest(`**/api/trials/${trial}`)
  await page.evaluate(() => window.dispatchEvent(new Event('focus')))
  await looked
  await time.selectOption('180')
  const cameBack = page.waitForResponse(`**/api/trials/${trial}`)
  look.open()
  await cameBack
  await page.waitForTimeout(200)
  await expect(page.getByText('Saved.', { exact: true })).toBeHidden()
  await expect(time).toHaveValue('180')
  save.open()
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible()
  await expect(time).toHaveValue('180')
  await page.unrouteAll({ behavior: 'ignoreErrors' })
})

test('a new trial says at every stage what to do first', async ({ page }) => {
  const trial = await freshTrial(page, 'Nothing yet')
  const expectOn = async (stage: string, words: string | RegExp) => {
    await page.goto(`${demoUrl()}/trials/${trial}/${stage}`)
    await expect(page.getByText(words).first()).toBeVisible()
  }
  await expectOn('ladder', 'Three loaded steps make a curve.')
  await expectOn('no-load', 'No reading without load yet.')
  await expectOn('motors', 'No attempt on this rig yet.')
  await expectOn('findings', 'was not tested')
  await expectOn('report', 'No step on this rig.')
})

test('search mode is kept apart from idle, and a reading can be taken back', async ({ page }) => {
  const trial = await freshTrial(page, 'Search mode')
  await page.goto(`${demoUrl()}/trials/${trial}/no-load`)
  await page.getByLabel(/^V_B/).fill('26.40')
  await page.getByLabel(/^I: input current/).fill('abc')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByText('"abc" is not a number')).toBeVisible()
  await page.getByLabel(/^I: input current/).fill('95m')
  await page.getByLabel('Mode').selectOption('search')
  await page.getByRole('button', { name: 'Capture' }).click()
  await expect(page.getByRole('heading', { name: 'Search mode' })).toBeVisible()
  await expect(page.getByText('search mode:')).toBeVisible()
  await page.getByRole('button', { name: 'Take back' }).click()
  await page.getByRole('dialog').getByRole('textbox').fill('the lamp strip was plugged in')
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByText('taken back: the lamp strip was plugged in')).toBeVisible()
})

test('findings open with the answer, and list what was read but decides nothing', async ({ page }) => {
  const trial = await freshTrial(page, 'Over the range')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await typeStep(page, 'two ovens', ['26.07', '25.98', '60', '230.1', '', '3600'])
  await expect(page.getByRole('row', { name: /two ovens/ })).toContainText('▲')
  await stage(page, /Findings/).click()
  await expect(page.getByText(/^Of 8 claims .* not tested\./)).toBeVisible()
  const aside = page.getByRole('region', { name: 'Read, but decides nothing' })
  await expect(aside).toContainText(
    'watts at the outlet on Plug wattmeter, 1 reading: it is over the range of 3000 W.',
  )
  await expect(
    page
      .getByText(
        /What was read of the watts at the outlet does not count here: it is over the range of 3000 W\. Use a meter/,
      )
      .first(),
  ).toBeVisible()
})

test('a reading is corrected by a new one that says why', async ({ page }) => {
  const trial = await freshTrial(page, 'Correction')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await typeStep(page, 'plate', ['26.07', '52.98', '28.75', '230.1', '3.05', '703'])
  await page.getByRole('button', { name: 'Correct', exact: true }).click()
  const field = page.getByRole('textbox', { name: /^V_B/ })
  await expect(field).toHaveValue('52.98')
  await field.fill('25.98')
  await page.keyboard.press('Control+Enter')
  await expect(page.getByRole('row', { name: /plate/ }).first()).toContainText('25.98')
  await expect(page.getByText('Corrected after reading it again.')).toBeVisible()
})

test('a script in a name stays text', async ({ page }) => {
  const document = await (
    await page.request.get(`${demoUrl()}/api/trials/${await trialNamed(page, 'Pellam')}/export.json`)
  ).text()
  const title = '<img src=x onerror="document.title=1">'
  const nasty = JSON.parse(document) as { trial: { id: string; title: string }; entries: { id: string }[] }
  nasty.trial.id = crypto.randomUUID()
  nasty.trial.title = title
  nasty.entries = []
  await page.goto(`${demoUrl()}/import`)
  await page.getByLabel('Choose a file').setInputFiles({
    name: 'nasty.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(nasty)),
  })
  await expect(page.getByText(title).first()).toBeVisible()
  await expect(page).toHaveTitle('Even Watt')
})

test('readings go out as CSV with their meters named, derived figures with their U', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Ottrel 1400-24 for')}/ladder`)
  await page.getByRole('button', { name: 'Export' }).click()
  const download = async (name: string) => {
    const waiting = page.waitForEvent('download')
    await page.getByRole('link', { name, exact: true }).click()
    return readFileSync(await (await waiting).path(), 'utf8')
  }
  const readings = await download('Readings (CSV)')
  expect(readings.split('\r\n')[0]).toContain('P_C [W] Plug wattmeter')
  expect(readings).toContain('Two digits of V_B exchanged when typing.')
  const figures = await download('Figures (CSV)')
  expect(figures.split('\r\n')[0]).toContain('efficiency of the unit [%],U of efficiency of the unit [%]')
})

test('deleting a unit asks, says where it is used, and is undone', async ({ page }) => {
  const id = crypto.randomUUID()
  const units = (await (await page.request.get(`${demoUrl()}/api/units`)).json()) as { name: string }[]
  const content = { ...units.find((unit) => unit.name === 'Pellam 900-12'), name: 'To be deleted' }
  await page.request.put(`${demoUrl()}/api/units/${id}`, { data: { editedFrom: 0, content } })
  await page.goto(`${demoUrl()}/units/${id}`)
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('To be deleted')
  await page.getByRole('button', { name: 'Delete' }).click()
  const asked = page.getByRole('dialog')
  await expect(asked).toContainText('It is used nowhere.')
  await asked.getByRole('button', { name: 'Cancel' }).click()
  await page.getByRole('button', { name: 'Delete' }).click()
  await asked.getByRole('button', { name: 'Delete it' }).click()
  await expect(page.getByRole('heading', { name: 'Units' })).toBeVisible()
  const line = page.getByRole('link', { name: 'To be deleted' })
  await expect(line).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(line).toBeVisible()
})

test('a rig is put together and reordered by keyboard alone', async ({ page }) => {
  await page.goto(`${demoUrl()}/rigs/new`)
  const add = page.getByRole('button', { name: 'Add a reading' })
  for (let i = 0; i < 2; i++) {
    await add.focus()
    await page.keyboard.press('Enter')
  }
  await page.getByRole('button', { name: 'Move reading 2 up' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('group', { name: 'Reading 1' }).getByLabel('Quantity')).toHaveValue('V_B')
  await expect(page.getByRole('button', { name: 'Move reading 1 up' })).toBeDisabled()
})
