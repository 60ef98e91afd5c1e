import type { Entry } from '@even-watt/contract'
import { randomUUID } from 'node:crypto'
import { Installation } from '../e2e/support/installation'
import { ladderOf } from './ladders'
import { say } from './report'

const clients = 50
const seconds = 20

/** Fifty clients at once: each lists trials, opens one, reads its entries, captures, and asks what loads took. */
export async function benchClients(): Promise<void> {
  const place = Installation.create('nothing')
  try {
    await place.start()
    const { trial, entries } = ladderOf(200, 3)
    const post = (path: string, body: unknown) =>
      fetch(`${place.url}/api/${path}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    const document = {
      format: 'even-watt-trial',
      formatVersion: 2,
      madeBy: 'benchmark',
      madeAt: trial.startedAt,
    }
    await post('trials/import', { ...document, trial, entries })
    const sample = entries.find((entry) => entry.kind === 'ladder')
    if (!sample) throw new Error('no ladder')
    const asks: readonly (readonly [what: string, ask: () => Promise<Response>])[] = [
      ['the list', () => fetch(`${place.url}/api/trials?limit=25`)],
      ['a trial', () => fetch(`${place.url}/api/trials/${trial.id}`)],
      ['its entries', () => fetch(`${place.url}/api/trials/${trial.id}/entries`)],
      [
        'a capture',
        () => post(`trials/${trial.id}/entries`, [{ ...sample, id: randomUUID() } satisfies Entry]),
      ],
      ['what loads took', () => fetch(`${place.url}/api/loads/taken`)],
    ]
    const times = new Map(asks.map(([what]) => [what, [] as number[]]))
    const until = performance.now() + seconds * 1000
    await Promise.all(
      Array.from({ length: clients }, async (_, client) => {
        for (let i = client; performance.now() < until; i++) {
          const [what, ask] = asks[i % asks.length] ?? asks[0] ?? ['', () => Promise.reject(new Error())]
          const from = performance.now()
          const answer = await ask()
          if (!answer.ok) throw new Error(`${what}: ${answer.status}`)
          await answer.text()
          times.get(what)?.push(performance.now() - from)
          // A tester looks before asking again.
          await new Promise((resolve) => setTimeout(resolve, 200))
        }
      }),
    )
    for (const [what, list] of [...times, ['all', [...times.values()].flat()] as const]) {
      const sorted = [...list].sort((a, b) => a - b)
      const p95 = sorted[Math.floor(0.95 * sorted.length)] ?? 0
      say(
        `${clients} clients, ${seconds} s, ${what} (${sorted.length} answers), p95`,
        p95,
        'what is promised',
        500,
        'ms',
      )
    }
  } finally {
    await place.remove()
  }
}
