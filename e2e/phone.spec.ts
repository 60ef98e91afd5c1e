import { expect, test, type Page } from '@playwright/test'
import { demoUrl, trialNamed } from './support/pages'
import { library, stages } from './support/screens'

test.describe.configure({ mode: 'parallel' })
test.use({ viewport: { width: 390, height: 844 } })

/** What moves sideways, the page itself or a part of it. */
const sideways = (page: Page) =>
  page.evaluate(() => {
    const { scrollWidth, clientWidth } = document.documentElement
    const parts = [...document.querySelectorAll('*')].filter((one) => {
      const { overflowX } = getComputedStyle(one)
      return /auto|scroll/.test(overflowX) && one.scrollWidth > one.clientWidth + 1 && one.clientWidth > 0
    })
    return [
      ...(scrollWidth > clientWidth ? [`the page is ${scrollWidth} px wide`] : []),
      ...parts.map((one) => `${one.scrollWidth} px: ${one.outerHTML.slice(0, 90)}`),
    ]
  })

/**
 * What a thumb hits with less than 40 px of height: felt along the middle of each control, so that a cell counts that is
 * pressed in place of its figure. What stands within a sentence is as high as its line, and left out.
 */
const small = (page: Page) =>
  page.evaluate(() => {
    const controls = 'a[href], button, input, select, textarea, summary, [role="button"], [role="tab"]'
    const inSentence = (one: Element) =>
      getComputedStyle(one).display.startsWith('inline') &&
      [...(one.closest('p, li, dd, td, th, figcaption, span')?.childNodes ?? [])].some(
        (node) => node.nodeType === Node.TEXT_NODE && /\p{L}/u.test(node.textContent ?? ''),
      )
    const found: string[] = []
    for (const one of document.querySelectorAll(controls)) {
      const target = one.closest('label') ?? one
      const box = target.getBoundingClientRect()
      const { visibility, clipPath } = getComputedStyle(one)
      if (box.width < 2 || visibility === 'hidden' || box.height >= 39.5) continue
      // What only a screen reader has, and what is not drawn yet.
      if (
        clipPath !== 'none' ||
        one.matches('.sr-only') ||
        !one.checkVisibility({ contentVisibilityAuto: true })
      )
        continue
      if (inSentence(one)) continue
      target.scrollIntoView({ block: 'center' })
      const { left, width, top, height } = target.getBoundingClientRect()
      let high = 0
      for (let y = top + height / 2 - 45; y <= top + height / 2 + 45; y++) {
        const hit = document.elementFromPoint(left + width / 2, y)
        if (hit && target.contains(hit)) high++
      }
      if (high > 0 && high < 39) found.push(`${high} px: ${one.outerHTML.slice(0, 110)}`)
    }
    window.scrollTo(0, 0)
    return found
  })

const parts = 2
const groups = {
  'outside a trial': ['Ottrel 1400-24 for', library],
  ...Object.fromEntries(
    Array.from({ length: parts }, (_, n) => [
      `of part ${n + 1} of the work order`,
      ['Ottrel 1400-24 for', stages.filter((_, i) => i % parts === n)],
    ]),
  ),
  'of a station': ['Corrick', ['answers', 'ladder', 'ports', 'charging', 'modes', 'findings', 'report']],
} satisfies Record<string, [string, readonly string[]]>

for (const [group, [title, paths]] of Object.entries(groups)) {
  test(`a thumb moves nothing sideways and hits what it means on the screens ${group}`, async ({ page }) => {
    const trial = await trialNamed(page, title)
    const found: string[] = []
    for (const path of paths) {
      await page.goto(`${demoUrl()}${path.startsWith('/') ? path : `/trials/${trial}/${path}`}`)
      await expect(page.getByRole('heading').first()).toBeVisible()
      await expect(page.getByText(/^(Reading|Opening) .*…$/)).toHaveCount(0)
      await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')))
      await expect(page.getByText(/^Drawing .*…$/)).toHaveCount(0)
      found.push(...[...(await sideways(page)), ...(await small(page))].map((what) => `${path}: ${what}`))
    }
    expect(found).toEqual([])
  })
}
