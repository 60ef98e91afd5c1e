import type { TrialPage } from '@even-watt/contract'
import { chromium, type Page } from '@playwright/test'
import { mkdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { browserOptions } from '../e2e/support/browser'
import { Installation } from '../e2e/support/installation'

/** Pictures of the main views, made from the demo on an installation of its own. */
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))

interface Shot {
  readonly name: string
  readonly path: string
  readonly theme?: 'day' | 'night'
  readonly size?: { width: number; height: number }
  readonly whole?: boolean
  readonly before?: (page: Page) => Promise<void>
}

const phone = { width: 390, height: 800 }

const typeStep = async (page: Page) => {
  await page.keyboard.press('f')
  await page.getByRole('button', { name: /have read these|hold on this rig/ }).click()
  await page.getByText('What is connected?').waitFor()
  for (const text of ['sand oven + lamps 3', '25.69', '26.92']) {
    await page.keyboard.type(text)
    if (text !== '26.92') await page.keyboard.press('Enter')
  }
}

const shotsOf = (ottrel: string, pellam: string, varnock: string, corrick: string): Shot[] => [
  { name: 'bench', path: '/' },
  { name: 'ladder-day', path: `/trials/${ottrel}/ladder?rig=1` },
  { name: 'ladder-night', path: `/trials/${ottrel}/ladder`, theme: 'night' },
  {
    name: 'wave',
    path: `/trials/${pellam}/waves?rig=2`,
    whole: true,
    before: async (page) => {
      await page.getByRole('link', { name: 'sand oven low + wax bath' }).click()
      await page.getByText('Press in it for cursor A').waitFor()
    },
  },
  {
    name: 'arms-length-phone',
    path: `/trials/${ottrel}/ladder`,
    theme: 'night',
    size: phone,
    before: typeStep,
  },
  {
    name: 'show-working',
    path: `/trials/${ottrel}/ladder`,
    before: async (page) => {
      await page
        .getByRole('row', { name: /immersion rod/ })
        .getByRole('button', { name: /± / })
        .click()
    },
  },
  { name: 'look-over', path: `/trials/${ottrel}/look-over` },
  { name: 'rig', path: `/trials/${ottrel}/rig?rig=1` },
  {
    name: 'compare',
    path: '/compare',
    whole: true,
    before: async (page) => {
      await page.getByRole('link', { name: 'Ottrel, revision B and C' }).click()
      await page.getByRole('heading', { name: 'Whom each suits' }).waitFor()
    },
  },
  { name: 'plan', path: `/trials/${varnock}/plan` },
  { name: 'schedule', path: `/trials/${varnock}/plan/schedule` },
  { name: 'endurance', path: `/trials/${corrick}/endurance` },
  { name: 'limits', path: `/trials/${pellam}/limits/surge?rig=2`, theme: 'night' },
  {
    name: 'motors',
    path: `/trials/${ottrel}/motors?rig=2`,
    whole: true,
    before: async (page) => {
      await page.getByRole('button', { name: 'Look', exact: true }).nth(2).click()
    },
  },
  {
    name: 'sums',
    path: '/sums',
    before: async (page) => {
      for (const text of ['12.8 V', 'bank 6 mΩ', '16 to 25 mm²', '1.2 m', '1000 W', '88 ± 2 %', '100 Ah']) {
        await page.getByLabel('Type what you know').fill(text)
        await page.keyboard.press('Enter')
      }
    },
  },
  { name: 'answers', path: `/trials/${corrick}/answers` },
  { name: 'findings', path: `/trials/${ottrel}/findings` },
  {
    name: 'report',
    path: `/trials/${ottrel}/report`,
    before: (page) => page.getByRole('heading', { name: 'Findings' }).waitFor(),
  },
  {
    name: 'begin',
    path: '/begin',
    theme: 'night',
    before: async (page) => {
      await page.getByLabel('Name', { exact: true }).fill('Pellam 900-12')
      await page.getByLabel('Nominal input').fill('12')
      await page.getByLabel('On the label').fill('900')
      await page.getByLabel('Bank, leads, fuse').fill('12 V 95 Ah AGM, leads as supplied, fuse 125 A')
      await page.getByLabel('Meter 1').fill('multimeter')
      await page.getByLabel('Meter 2').fill('clamp 400 A 2 % + 3')
      await page.getByLabel('Your initials').fill('M.K.')
    },
  },
]

const place = Installation.create()
const started = await place.start()
if (started.code !== null) throw new Error(started.output)
const browser = await chromium.launch(browserOptions)
try {
  mkdirSync(folder, { recursive: true })
  const read = async <T>(path: string) => (await (await fetch(`${place.url}/api/${path}`)).json()) as T
  const { trials } = await read<TrialPage>('trials')
  const idOf = (begins: string) => trials.find((trial) => trial.title.startsWith(begins))?.id ?? ''
  for (const shot of shotsOf(idOf('Ottrel 1400-24 for'), idOf('Pellam'), idOf('Varnock'), idOf('Corrick'))) {
    const context = await browser.newContext({ viewport: shot.size ?? { width: 1280, height: 800 } })
    const page = await context.newPage()
    await page.addInitScript((theme) => localStorage.setItem('theme', theme), shot.theme ?? 'day')
    await page.goto(`${place.url}${shot.path}`)
    await page.getByRole('heading').first().waitFor()
    await page.waitForTimeout(1200)
    await shot.before?.(page)
    await page.waitForFunction(() => !document.querySelector('[data-drawing]'))
    await page.waitForTimeout(500)
    await page.screenshot({ path: `${folder}${shot.name}.png`, fullPage: shot.whole ?? false })
    await context.close()
  }
} finally {
  await browser.close()
  await place.remove()
}
