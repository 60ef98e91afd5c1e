import { chromium } from '@playwright/test'
import { browserOptions } from '../e2e/support/browser'
import { Installation } from '../e2e/support/installation'
import { sayFrames, timeFrames } from './frames'
import { ladderOf } from './ladders'
import { say } from './report'

const steps = 600

/** Runs in the page: from the capture key to the frame in which the new row stands, ms. As text, for a page knows no tools. */
const timeCapture = `async (name) => {
  const from = performance.now()
  const last = () => [...document.querySelectorAll('tr[data-step]')].at(-1)?.textContent ?? ''
  document.activeElement.dispatchEvent(
    new KeyboardEvent('keydown', { key: 'Enter', ctrlKey: true, bubbles: true, cancelable: true }),
  )
  while (!last().includes(name)) await new Promise(requestAnimationFrame)
  return performance.now() - from
}`

/** Runs in the page: from the call for it to the frame in which its rows stand, ms. */
const timeFirstRows = `new MutationObserver((_, observer) => {
  if (!document.querySelector('tr[data-step]:nth-child(20)')) return
  observer.disconnect()
  requestAnimationFrame(() => setTimeout(() => (globalThis.firstRows = performance.now())))
}).observe(document, { childList: true, subtree: true })`

/** A ladder of 600 steps in the real browser: opened, typed into, and one more step captured. */
export async function benchLongLadder(): Promise<void> {
  const place = Installation.create('nothing')
  const browser = await chromium.launch(browserOptions)
  try {
    await place.start('--empty')
    const document = ladderOf(steps, 1)
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const answer = await page.request.post(`${place.url}/api/trials/import`, { data: document })
    if (!answer.ok()) throw new Error(await answer.text())
    await page.addInitScript(timeFirstRows)
    const open = async () => {
      await page.goto(`${place.url}/trials/${document.trial.id}/ladder`)
      await page.waitForSelector('tr[data-step]:nth-child(20)')
      await page.waitForTimeout(500)
      return Number(await page.evaluate('globalThis.firstRows'))
    }
    await open()
    const times: number[] = []
    for (let i = 0; i < 5; i++) times.push(await open())
    times.sort((a, b) => a - b)
    say(`open a ladder of ${steps} steps, median`, times[2] ?? 0, 'what is promised', 1000, 'ms')

    await page.getByRole('textbox', { name: /^V_A/ }).click()
    await timeFrames(page, 'keydown')
    for (const key of '26.1226.1526.1826.2126.2426.2726.30') {
      await page.keyboard.press(key)
      await page.waitForTimeout(80)
    }
    await sayFrames(page, `key to drawn frame, ${steps} steps`, 50)
    await page.getByRole('textbox', { name: /^V_A/ }).fill('')

    const captures: number[] = []
    for (let i = 0; i < 5; i++) {
      await page.getByRole('textbox', { name: 'Load', exact: true }).click()
      await page.keyboard.type(`more ${i}`)
      for (const value of ['26.12', '26.01', '14.3', '231', '1.54', '354']) {
        await page.keyboard.press('Enter')
        await page.keyboard.type(value)
      }
      await page.waitForTimeout(400)
      captures.push(Number(await page.evaluate(`(${timeCapture})(${JSON.stringify(`more ${i}`)})`)))
    }
    captures.sort((a, b) => a - b)
    say(`capture to drawn row, ${steps} steps, median`, captures[2] ?? 0, 'what is promised', 100, 'ms')
  } finally {
    await browser.close()
    await place.remove()
  }
}
