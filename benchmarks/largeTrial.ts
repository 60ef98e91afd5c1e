import { formatVersion } from '@even-watt/contract'
import { Installation } from '../e2e/support/installation'
import { ladderOf } from './ladders'
import { say } from './report'

/** Three readings of each step, as many entries as a trial may hold. */
const steps = 6600

/** A trial as large as any: what follows from it is asked for, while somebody else asks for something short. */
export async function benchLargeTrial(): Promise<void> {
  const place = Installation.create('nothing')
  try {
    await place.start()
    const { trial, entries } = ladderOf(steps, 3)
    const document = JSON.stringify({
      format: 'even-watt-trial',
      formatVersion,
      madeBy: 'benchmark',
      madeAt: trial.startedAt,
      trial,
      entries,
    })
    const api = `${place.url}/api`
    const asks: readonly (readonly [what: string, ask: () => Promise<Response>])[] = [
      [
        'taken in',
        () =>
          fetch(`${api}/trials/import`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: document,
          }),
      ],
      ['its verdicts', () => fetch(`${api}/trials/verdicts?ids=${trial.id}`)],
      ['its verdicts again', () => fetch(`${api}/trials/verdicts?ids=${trial.id}`)],
      ['its figures', () => fetch(`${api}/trials/${trial.id}/figures.csv`)],
      ['its figures again', () => fetch(`${api}/trials/${trial.id}/figures.csv`)],
      ['its readings', () => fetch(`${api}/trials/${trial.id}/export.csv`)],
      ['its document', () => fetch(`${api}/trials/${trial.id}/export.json`)],
      ['its archive', () => fetch(`${api}/trials/${trial.id}/export.zip`)],
      ['a search', () => fetch(`${api}/search?q=idle`)],
    ]
    for (const [what, ask] of asks) {
      let longest = 0
      let done = false
      const others = (async () => {
        while (!done) {
          const from = performance.now()
          await (await fetch(`${api}/settings`)).text()
          longest = Math.max(longest, performance.now() - from)
          await new Promise((resolve) => setTimeout(resolve, 10))
        }
      })()
      const from = performance.now()
      const answer = await ask()
      if (!answer.ok) throw new Error(`${what}: ${answer.status} ${await answer.text()}`)
      await answer.arrayBuffer()
      const took = performance.now() - from
      done = true
      await others
      say(
        `${entries.length} entries, ${what} in ${(took / 1000).toFixed(1)} s; another waited, at most`,
        longest,
        'what is promised',
        200,
        'ms',
      )
    }
  } finally {
    await place.remove()
  }
}
