import type { Page } from '@playwright/test'
import { say } from './report'

/** Begins to time every event of one kind from its arrival to the end of the frame it is drawn in. */
export async function timeFrames(page: Page, event: 'keydown' | 'input'): Promise<void> {
  await page.evaluate((name) => {
    const times: number[] = []
    Object.assign(globalThis, { frameTimes: times })
    addEventListener(
      name,
      () => {
        const from = performance.now()
        requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - from)))
      },
      { capture: true },
    )
  }, event)
}

/** Says median, p95 and slowest of what was timed, beside what is promised, ms. */
export async function sayFrames(page: Page, what: string, promised: number): Promise<void> {
  const times = await page.evaluate(() => (globalThis as unknown as { frameTimes: number[] }).frameTimes)
  times.sort((a, b) => a - b)
  say(`${what}, median`, times[Math.floor(times.length / 2)] ?? 0, 'what is promised', promised, 'ms')
  say(`${what}, p95`, times[Math.floor(0.95 * times.length)] ?? 0, 'what is promised', promised, 'ms')
  say(`${what}, slowest`, times.at(-1) ?? 0, 'what is promised', promised, 'ms')
}
