import { chromium } from '@playwright/test'
import { browserOptions } from '../e2e/support/browser'
const browser = await chromium.launch(browserOptions)
const url = 'http://127.0.0.1:4791'
const shot = async (name: string, lines: string[], w = 1280, night = false, full = false) => {
  const page = await (await browser.newContext({ viewport: { width: w, height: w < 500 ? 844 : 800 }, colorScheme: night ? 'dark' : 'light' })).newPage()
  page.on('console', (m) => m.type() === 'error' && console.log(name, m.text()))
  await page.goto(`${url}/sums`)
  for (const line of lines) { await page.getByLabel('Type what you know').fill(line); await page.keyboard.press('Enter') }
  await page.waitForTimeout(600)
  await page.screenshot({ path: `/tmp/zz-${name}.png`, fullPage: full })
  console.log(name, await page.evaluate(() => [document.documentElement.scrollWidth, innerWidth]))
  return page
}
await shot('empty', [])
await shot('worked', ['12.8 V', 'bank 6 mΩ', 'leads 5 mΩ', '1000 W', '88 %', '100 Ah'])
await shot('phone', ['12.8 V', 'bank 6 mΩ', '16 to 25 mm²', 'length 1.2 m', '1000 W', '88 ± 2 %', 'battery amps 80'], 390, true, true)
const p = await shot('bad', ['12.8 V', 'hello'])
await p.getByRole('button', { name: 'How long will it run?' }).click({ timeout: 1000 }).catch(() => console.log('no beginnings'))
await browser.close()
