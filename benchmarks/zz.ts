import { chromium } from '@playwright/test'
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
const base = 'http://127.0.0.1:4791'
const { trials } = await (await fetch(`${base}/api/trials`)).json()
const id = trials.find((t: any) => t.title.startsWith('Ottrel 1400-24 for')).id
const client = await page.context().newCDPSession(page)
await page.goto(`${base}/trials/${id}/ladder`); await page.getByRole('heading').first().waitFor()
for (let k = 0; k < 2; k++) {
  await client.send('Profiler.enable'); await client.send('Profiler.start')
  const t = performance.now()
  await page.goto(`${base}/trials/${id}/report`)
  await page.getByRole('heading', { name: 'Findings' }).waitFor()
  const a = performance.now() - t
  await page.getByText(/^Drawing/).first().waitFor({ state: 'detached', timeout: 60000 }).catch(() => 0)
  await page.getByRole('heading', { name: 'Method' }).waitFor()
  console.log('findings', a, 'all', performance.now() - t)
  const { profile } = await client.send('Profiler.stop')
  if (k === 1) {
    const self = new Map<string, number>(); const nodes = new Map(profile.nodes.map((n: any) => [n.id, n]))
    profile.samples!.forEach((s: number, i: number) => { const n: any = nodes.get(s); const key = n.callFrame.functionName + ' ' + n.callFrame.url.split('/').pop() + ':' + n.callFrame.columnNumber; self.set(key, (self.get(key) ?? 0) + profile.timeDeltas![i]!) })
    console.log([...self].sort((x, y) => y[1] - x[1]).slice(0, 25).map(([k, v]) => `${(v / 1000).toFixed(0)} ms ${k}`).join('\n'))
  }
}
await browser.close()
