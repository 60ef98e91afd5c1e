import { expect, test, type Page } from '@playwright/test'
import type axe from 'axe-core'
import { createRequire } from 'node:module'
import { demoUrl, trialNamed } from './support/pages'
import { library, stages } from './support/screens'

const axeFile = createRequire(import.meta.url).resolve('axe-core/axe.min.js')

// The longest file of all: its groups do not wait for each other.
test.describe.configure({ mode: 'parallel' })

/** Parts of the work order, so that the workers share it however long it grows. */
const parts = 3
const part = (n: number) =>
  stages.slice(Math.ceil((n * stages.length) / parts), Math.ceil(((n + 1) * stages.length) / parts))
const groups = {
  'outside a trial': library,
  ...Object.fromEntries(
    Array.from({ length: parts }, (_, n) => [`of part ${n + 1} of the work order`, part(n)]),
  ),
}

/** What axe minds of the screen as it stands: by day everything, by night the colours, for only they differ. */
const minds = async (page: Page, first: boolean, rules?: readonly string[]) => {
  const { violations } = await page.evaluate<axe.AxeResults, { first: boolean; rules?: readonly string[] }>(
    ({ first, rules }) =>
      (window as unknown as { axe: typeof axe }).axe.run(
        {
          // A long table repeats its rows, and the screens of a group the head and work order of its first.
          exclude: [
            'tbody tr:nth-child(n+13)',
            ...(first ? [] : ['header:has(nav)', 'nav[aria-label="Work order"]']),
          ],
        },
        // Of styles that are all here already.
        {
          resultTypes: ['violations'],
          preload: false,
          ...(rules ? { runOnly: [...rules] } : {}),
        },
      ),
    { first, ...(rules ? { rules } : {}) },
  )
  return violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
}

/** What no screen may say: more digits than anybody reads, what is no number, and names of ours. */
const raw =
  /\d[.,]\d{6,}|\d{9,}|\d(?:\.\d+)?e[+-]?\d|\b(?:NaN|Infinity|undefined|null)\b|\[object |[0-9a-f]{8}-[0-9a-f]{4}-/

const rawFigures = (page: Page) =>
  page.evaluate((raw) => {
    const lines = document.body.innerText.split('\n')
    return lines.filter((line) => new RegExp(raw).test(line)).map((line) => line.slice(0, 120))
  }, raw.source)

for (const [group, paths] of Object.entries(groups)) {
  test(`axe finds nothing serious on the screens ${group}, by day and by night, and no figure is raw`, async ({
    page,
  }) => {
    const trial = await trialNamed(page, 'Ottrel 1400-24 for')
    const messages: string[] = []
    page.on('console', (message) => {
      if (message.type() === 'error') messages.push(message.text())
    })
    await page.addInitScript({ path: axeFile })
    for (const path of paths) {
      await page.goto(`${demoUrl()}${path.startsWith('/') ? path : `/trials/${trial}/${path}`}`)
      await expect(page.getByRole('heading').first()).toBeVisible()
      await expect(page.getByText(/^(Reading|Opening) .*…$/)).toHaveCount(0)
      // As for paper: charts that are far below are drawn too.
      await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')))
      await expect(page.getByText(/^Drawing .*…$/)).toHaveCount(0)
      expect((await rawFigures(page)).map((line) => `${path}: ${line}`)).toEqual([])
      const byDay = await minds(page, path === paths[0])
      await page.getByRole('button', { name: 'Night', exact: true }).click()
      const byNight = await minds(page, path === paths[0], ['color-contrast'])
      await page.getByRole('button', { name: 'Day', exact: true }).click()
      expect([...byDay, ...byNight].map(({ id, nodes }) => `${path}: ${id} ${nodes[0]?.html}`)).toEqual([])
    }
    expect(messages).toEqual([])
  })
}
