import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { demoUrl, trialNamed } from './support/pages'
import { library, stages } from './support/screens'

const groups = {
  'outside a trial': library,
  'of the first half of a trial': stages.slice(0, 9),
  'of the second half of a trial': stages.slice(9),
}

for (const theme of ['day', 'night']) {
  for (const [group, paths] of Object.entries(groups)) {
    test(`axe finds nothing serious on the screens ${group}, by ${theme}`, async ({ page }) => {
      await page.addInitScript((name) => localStorage.setItem('theme', name), theme)
      const trial = await trialNamed(page, 'Ottrel')
      const messages: string[] = []
      page.on('console', (message) => {
        if (message.type() === 'error') messages.push(message.text())
      })
      for (const path of paths) {
        await page.goto(`${demoUrl()}${path.startsWith('/') ? path : `/trials/${trial}/${path}`}`)
        await expect(page.getByRole('heading').first()).toBeVisible()
        await expect(page.getByText(/^(Reading|Opening|Drawing) .*…$/)).toHaveCount(0)
        // Only colours differ by night: all other rules are looked at by day.
        const axe = new AxeBuilder({ page })
        const { violations } = await (theme === 'night' ? axe.withRules(['color-contrast']) : axe).analyze()
        const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
        expect(serious.map(({ id, nodes }) => `${path}: ${id} ${nodes[0]?.html}`)).toEqual([])
      }
      expect(messages).toEqual([])
    })
  }
}
