import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { demoUrl, trialNamed } from './support/pages'
import { library, stages } from './support/screens'

/** Parts of the work order, so that two workers share it however long it grows. */
const parts = 3
const part = (n: number) =>
  stages.slice(Math.ceil((n * stages.length) / parts), Math.ceil(((n + 1) * stages.length) / parts))
const groups = {
  'outside a trial': library,
  ...Object.fromEntries(
    Array.from({ length: parts }, (_, n) => [`of part ${n + 1} of the work order`, part(n)]),
  ),
}

for (const [group, paths] of Object.entries(groups)) {
  test(`axe finds nothing serious on the screens ${group}, by day and by night`, async ({ page }) => {
    const trial = await trialNamed(page, 'Ottrel 1400-24 for')
    const messages: string[] = []
    page.on('console', (message) => {
      if (message.type() === 'error') messages.push(message.text())
    })
    for (const path of paths) {
      await page.goto(`${demoUrl()}${path.startsWith('/') ? path : `/trials/${trial}/${path}`}`)
      await expect(page.getByRole('heading').first()).toBeVisible()
      await expect(page.getByText(/^(Reading|Opening) .*…$/)).toHaveCount(0)
      // As for paper: charts that are far below are drawn too.
      await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')))
      await expect(page.getByText(/^Drawing .*…$/)).toHaveCount(0)
      // In one frame, so that no second page need be opened to gather the results; of styles that are all here already.
      // A long table repeats its rows, and the screens of a group the head and work order of its first.
      const axe = () => {
        const here = new AxeBuilder({ page })
          .setLegacyMode()
          .options({ resultTypes: ['violations'], preload: false })
          .exclude('tbody tr:nth-child(n+13)')
        return path === paths[0]
          ? here
          : here.exclude('header:has(nav)').exclude('nav[aria-label="Work order"]')
      }
      const byDay = await axe().analyze()
      await page.getByRole('button', { name: 'Night', exact: true }).click()
      // Only colours differ by night.
      const byNight = await axe().withRules(['color-contrast']).analyze()
      await page.getByRole('button', { name: 'Day', exact: true }).click()
      const serious = [...byDay.violations, ...byNight.violations].filter(
        ({ impact }) => impact === 'serious' || impact === 'critical',
      )
      expect(serious.map(({ id, nodes }) => `${path}: ${id} ${nodes[0]?.html}`)).toEqual([])
    }
    expect(messages).toEqual([])
  })
}
