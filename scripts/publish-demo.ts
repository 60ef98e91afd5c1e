import type { Edition, TrialPage } from '@even-watt/contract'
import { chromium } from '@playwright/test'
import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { browserOptions } from '../e2e/support/browser'
import { Installation } from '../e2e/support/installation'

/**
 * Publishes the report of the demo's Ottrel as a tester would, the day after its test, and keeps that edition in demo/. It
 * is frozen: to be made again only when its form is to be another, not when a figure changes.
 */
const published = new Date('2026-03-13T10:00:00.000Z')
const demo = new URL('../demo/', import.meta.url)
const pages = new URL('editions/', demo)
rmSync(pages, { recursive: true, force: true })
mkdirSync(pages)
const write = (editions: readonly Edition[]) =>
  writeFileSync(new URL('editions.json', demo), `${JSON.stringify(editions, null, 1)}\n`)
write([])

const place = Installation.create()
const started = await place.start()
if (started.code !== null) throw new Error(started.output)
const browser = await chromium.launch(browserOptions)
try {
  const read = (path: string) => fetch(`${place.url}/api/${path}`)
  const { trials } = (await (await read('trials')).json()) as TrialPage
  const trial = trials.find(({ title }) => title.startsWith('Ottrel 1400-24 for'))?.id ?? ''
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.clock.setFixedTime(published)
  await page.goto(`${place.url}/trials/${trial}/report`)
  await page.getByRole('heading', { name: 'Findings' }).waitFor()
  await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Publish edition 1' }).click(),
  ])
  const editions = (await (await read(`editions?kind=trial&of=${trial}`)).json()) as Edition[]
  for (const { sha256 } of editions)
    writeFileSync(new URL(sha256, pages), Buffer.from(await (await read(`blobs/${sha256}`)).arrayBuffer()))
  write(editions.map((edition) => ({ ...edition, madeAt: published.toISOString() })))
} finally {
  await browser.close()
  await place.remove()
}
