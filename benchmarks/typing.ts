import { chromium } from '@playwright/test'
import { browserOptions } from '../e2e/support/browser'
import { Installation } from '../e2e/support/installation'
import { sayFrames, timeFrames } from './frames'
import { ladderOf } from './ladders'

/** From key to drawn frame in the grid of a ladder of 200 steps × 3 repeats, in the real browser. */
export async function benchTyping(): Promise<void> {
  const place = Installation.create('nothing')
  const browser = await chromium.launch(browserOptions)
  try {
    await place.start('--empty')
    const document = ladderOf(200, 3)
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const answer = await page.request.post(`${place.url}/api/trials/import`, { data: document })
    if (!answer.ok()) throw new Error(await answer.text())
    await page.goto(`${place.url}/trials/${document.trial.id}/ladder`)
    await page.getByRole('row', { name: /load 19 / }).waitFor()
    await page.getByRole('textbox', { name: /^V_A/ }).click()
    await timeFrames(page, 'keydown')
    for (const key of '26.1226.1526.1826.2126.24') {
      await page.keyboard.press(key)
      await page.waitForTimeout(80)
    }
    await sayFrames(page, 'key to drawn frame, 200 steps × 3', 50)
  } finally {
    await browser.close()
    await place.remove()
  }
}
