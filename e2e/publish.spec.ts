import { chromium, expect, test, type Page } from '@playwright/test'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { captureStep, demoUrl, freshTrial, trialNamed } from './support/pages'

const folder = mkdtempSync(join(tmpdir(), 'even-watt-editions-'))

async function publish(page: Page, name: RegExp): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name }).click(),
  ])
  const path = join(folder, `${Date.now()}-${download.suggestedFilename()}`)
  await download.saveAs(path)
  return path
}

/** Opens a page from disk in a browser of its own that reaches nothing. */
async function alone(path: string, look: (page: Page) => Promise<void>): Promise<void> {
  const { launchOptions } = test.info().project.use
  const browser = await chromium.launch(launchOptions)
  try {
    const context = await browser.newContext({ offline: true })
    const page = await context.newPage()
    const asked: string[] = []
    page.on('request', (request) => asked.push(request.url()))
    page.on('console', (message) => asked.push(`console: ${message.text()}`))
    await page.goto(`file://${path}`)
    await look(page)
    expect(asked.filter((url) => !url.startsWith('file:') && !url.startsWith('data:'))).toEqual([])
  } finally {
    await browser.close()
  }
}

const check = async (page: Page, path: string) => {
  await page.goto(`${demoUrl()}/check`)
  await page.getByLabel('Choose a page').setInputFiles(path)
  return page.getByRole('main')
}

test('a comparison of two revisions is published; a stranger reads from the file what is better and what was not tested', async ({
  page,
}) => {
  await page.goto(`${demoUrl()}/compare`)
  await page.getByRole('link', { name: 'Ottrel, revision B and C' }).click()
  await expect(page.getByRole('heading', { name: 'In your order' })).toBeVisible()
  const path = await publish(page, /Publish edition 1/)
  await alone(path, async (paper) => {
    await expect(paper.getByRole('heading', { level: 1 })).toHaveText('Ottrel, revision B and C')
    await expect(paper.getByText(/rev C is better than Ottrel 1400-24 in idle draw/)).toBeVisible()
    await expect(paper.getByText('Not tested of Ottrel 1400-24 rev C: cutoff voltage')).toBeVisible()
    await expect(paper.getByRole('row', { name: /^supply/ })).toContainText('L24')
    await expect(paper.getByText('Shunt monitor').first()).toBeVisible()
    await expect(paper.getByText('The owner’s hours: 18 h with nothing connected')).toBeVisible()
    await expect(paper.locator('figure svg path').first()).toBeAttached()
    await expect(paper.locator('button, input, a:not([href^="#"]), script')).toHaveCount(0)
  })
  await expect(await check(page, path)).toContainText('This is edition 1 of “Ottrel, revision B and C”')
})

test('the report of a trial leaves with every figure of the screen, and an edit of it is detected', async ({
  page,
}) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 for')
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(page.getByRole('heading', { name: 'Method' })).toBeVisible()
  await expect(page.getByText('Nothing it states changed since edition 1.')).toBeVisible()
  await page.getByLabel('Why it changed').fill('Printed anew.')
  const path = await publish(page, /Publish edition 2/)
  const figures = await page.locator('article .figures:not(svg, svg *):visible').allInnerTexts()
  expect(figures.length).toBeGreaterThan(100)
  await alone(path, async (paper) => {
    const there = (await paper.locator('main').innerText()).replace(/\s+/g, ' ')
    const missing = figures
      .map((text) => text.replace(/\s+/g, ' ').trim())
      .filter((text) => !there.includes(text))
    expect(missing).toEqual([])
  })
  const edited = join(folder, 'edited.html')
  writeFileSync(edited, readFileSync(path, 'utf8').replace('Tested by R.O.', 'Tested by N.N.'))
  await expect(await check(page, edited)).toContainText('was changed after it was published')
  const other = join(folder, 'other.html')
  writeFileSync(other, '<p>hello</p>')
  await expect(await check(page, other)).toContainText('is no page that Even Watt published')
})

test('the demo’s own edition is still the page that was published', async ({ page }) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 for')
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Edition 1', exact: true }).click(),
  ])
  const path = join(folder, 'demo.html')
  await download.saveAs(path)
  await alone(path, async (paper) => {
    await expect(paper.getByText('edition 1, published 13 Mar 2026')).toBeVisible()
    await expect(paper.getByText('All 8 claims are met.').first()).toBeVisible()
    await expect(paper.locator('figure img')).toHaveCount(4)
  })
  await expect(await check(page, path)).toContainText('This is edition 1 of “Ottrel 1400-24 for launch 2”')
})

test('the next edition says what changed, and asks why', async ({ page }) => {
  const trial = await freshTrial(page, 'Published twice')
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(
    page.getByText('Nothing was read in this trial yet: there is nothing to publish.'),
  ).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await captureStep(page, 'plate', ['25.9', '25.6', '15.1', '230', '1.52', '350'])
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await publish(page, /Publish edition 1/)
  await expect(page.getByText('Nothing it states changed since edition 1.')).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await captureStep(page, 'oven', ['25.4', '25.1', '60.3', '229', '6.1', '1400'])
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(page.getByText('Changed since edition 1:')).toBeVisible()
  await page.getByRole('button', { name: 'Publish edition 2' }).click()
  await expect(page.getByText('Say it in a few words, for those who read the one before.')).toBeVisible()
  await page.getByLabel('Why it changed').fill('A heavier load was tried.')
  const path = await publish(page, /Publish edition 2/)
  await alone(path, async (paper) => {
    await expect(paper.getByText('Changed since edition 1: A heavier load was tried.')).toBeVisible()
  })
  await expect(page.getByRole('link', { name: 'Edition 1' })).toBeVisible()
})
