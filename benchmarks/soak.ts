import { chromium } from '@playwright/test'
import { type EntryOf, type TrialPage } from '@even-watt/contract'
import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { browserOptions } from '../e2e/support/browser'
import { Installation } from '../e2e/support/installation'
import { freshTrial } from '../e2e/support/pages'
import { ladderOf } from './ladders'

const minutes = Number(process.argv[2] ?? 90)
const clients = 24

/** Two cycles of a sine in fifty samples each: small, and worked all the same. */
const capture = ['t,V', ...Array.from({ length: 400 }, (_, i) => sampleRow(i))].join('\n')
function sampleRow(i: number): string {
  return `${(i * 0.0004).toFixed(4)},${(325 * Math.sin((2 * Math.PI * i) / 50)).toFixed(2)}`
}

const asleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** Processes below one, itself included. */
function below(pid: number): number[] {
  const children = new Map<number, number[]>()
  for (const line of execFileSync('ps', ['-e', '-o', 'pid=,ppid='], { encoding: 'utf8' }).split('\n')) {
    const [child = 0, parent = 0] = line.trim().split(/\s+/).map(Number)
    children.set(parent, [...(children.get(parent) ?? []), child])
  }
  const all = (of: number): number[] => [of, ...(children.get(of) ?? []).flatMap(all)]
  return all(pid)
}

/** Empty for one that has just ended. */
const nameOf = (pid: number) =>
  existsSync(`/proc/${pid}/comm`) ? readFileSync(`/proc/${pid}/comm`, 'utf8').trim() : ''
const rssOf = (pid: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024

/**
 * Two dozen clients follow, capture, push and read for as long as an afternoon, and one page stands open: what the server and
 * the page hold must not grow with time.
 */
async function soak(): Promise<void> {
  const place = Installation.create('nothing')
  await place.start()
  const browser = await chromium.launch(browserOptions)
  const page = await browser.newPage()
  const watched = await freshTrial(page, 'Watched', place.url)
  await page.goto(`${place.url}/trials/${watched}/ladder`)
  const devtools = await page.context().newCDPSession(page)
  await devtools.send('Performance.enable')
  const [sample] = ladderOf(3, 1).entries.filter(
    (entry): entry is EntryOf<'ladder'> => entry.kind === 'ladder',
  )
  if (!sample) throw new Error('no sample')
  const { trials } = (await (await fetch(`${place.url}/api/trials`)).json()) as TrialPage
  const until = Date.now() + minutes * 60_000
  const counts = { asked: 0, refused: 0, broken: 0, streams: 0 }
  /** What was answered with 500 and more, each once. */
  const failures = new Set<string>()

  const ask = async (path: string, how?: RequestInit) => {
    counts.asked += 1
    const answer = await fetch(`${place.url}/api/${path}`, how).catch(() => undefined)
    if (!answer) {
      counts.broken += 1
      return
    }
    const said = await answer.text()
    if (answer.status < 500) return
    counts.refused += 1
    failures.add(
      `${answer.status} ${how?.method ?? 'GET'} ${path.replace(/[0-9a-f-]{36}/g, '…').slice(0, 60)}: ${said.slice(0, 200)}`,
    )
  }
  const send = (method: string, path: string, body: unknown) =>
    ask(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
  const step = (trial: string) =>
    send('POST', `trials/${trial}/entries`, [
      { ...sample, id: randomUUID(), reading: { ...sample.reading, step: randomUUID(), values: [] } },
    ])

  const client = async (which: number) => {
    while (Date.now() < until) {
      const trial = await freshTrial(page, `Soak ${which}`, place.url)
      for (let i = 0; i < 60 && Date.now() < until; i++) {
        const leave = new AbortController()
        const stream = fetch(`${place.url}/api/trials/${trial}/events?after=0`, { signal: leave.signal })
          .then((answer) => answer.text())
          .catch(() => undefined)
        counts.streams += 1
        await step(trial)
        if (i % 10 === 3)
          await ask(`trials/${trial}/captures?name=soak.csv&instrument=Logger`, {
            method: 'POST',
            body: capture,
          })
        if (i % 20 === 5) await ask(`trials/verdicts?ids=${trials.map(({ id }) => id).join(',')},${trial}`)
        if (i % 20 === 10) await ask(`trials/${trial}/figures.csv`)
        if (i % 20 === 15) await ask(`editions?kind=report&of=${trials[0]?.id}`)
        await asleep(1500)
        leave.abort()
        await stream
      }
      await send('DELETE', `trials/${trial}`, { title: `Soak ${which}` })
    }
  }
  const rows: number[][] = []
  const heads = [
    'minute',
    'server MB',
    'its files open',
    'backends',
    'page heap MB',
    'page nodes',
    'listeners',
  ]
  const look = async () => {
    const own = below(process.pid).filter((pid) => pid !== process.pid)
    const nodes = own.filter((pid) => nameOf(pid) === 'node')
    await devtools.send('HeapProfiler.collectGarbage')
    const { metrics } = await devtools.send('Performance.getMetrics')
    const metric = (name: string) => metrics.find((one) => one.name === name)?.value ?? 0
    rows.push([
      Math.round(minutes - (until - Date.now()) / 60_000),
      nodes.reduce((sum, pid) => sum + rssOf(pid), 0),
      nodes.reduce((sum, pid) => sum + readdirSync(`/proc/${pid}/fd`).length, 0),
      own.filter((pid) => nameOf(pid) === 'postgres').length,
      metric('JSHeapUsedSize') / 2 ** 20,
      metric('Nodes'),
      metric('JSEventListeners'),
    ])
    console.log(heads.map((head, i) => `${head} ${Math.round(rows.at(-1)?.[i] ?? 0)}`).join(' · '))
  }
  const watching = (async () => {
    for (let i = 0; Date.now() < until; i++) {
      await step(watched)
      if (i % 4 === 0) await look().catch((error: unknown) => console.log('not looked at:', String(error)))
      await asleep(15_000)
    }
  })()
  await Promise.all([watching, ...Array.from({ length: clients }, (_, which) => client(which))])
  const mean = (some: number[][], i: number) =>
    some.reduce((sum, row) => sum + (row[i] ?? 0), 0) / some.length
  const third = Math.ceil(rows.length / 3)
  console.log(
    `\n${clients} clients, ${minutes} min: ${counts.asked} requests, ${counts.streams} streams, ${counts.refused} answers of 500 and more, ${counts.broken} broken connections`,
  )
  for (const failure of failures) console.log(failure)
  heads
    .slice(1)
    .forEach((head, i) =>
      console.log(
        `${head}: ${mean(rows.slice(third, 2 * third), i + 1).toFixed(1)} in the second third, ${mean(rows.slice(2 * third), i + 1).toFixed(1)} in the last`,
      ),
    )
  await browser.close()
  await place.remove()
}

await soak()
