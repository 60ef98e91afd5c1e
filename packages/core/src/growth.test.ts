import type { Entry } from '@even-watt/contract'
import { ladderEntry, noLoadEntry, revisionOf, trialOf, unitOf, uuid } from '../test/makers'
import { claimOf } from '../test/verdicts'
import { viewTrial, workOut } from './view'

/** The same entries, and how often anything in them was looked at: work that no clock disturbs. */
function counted(entries: readonly Entry[]) {
  let looks = 0
  const seen = new WeakMap<object, object>()
  const watch = <T extends object>(target: T): T => {
    const known = seen.get(target)
    if (known) return known as T
    const watched = new Proxy(target, {
      get(of, name, receiver) {
        looks += 1
        const value: unknown = Reflect.get(of, name, receiver)
        return typeof value === 'object' && value !== null ? watch(value) : value
      },
    })
    seen.set(target, watched)
    return watched
  }
  return { entries: entries.map(watch), looks: () => looks }
}

const claims = [
  claimOf({ id: uuid(31), room: 25 }),
  claimOf({ id: uuid(32), quantity: 'surge power', value: 2700, duration: 2 }),
  claimOf({ id: uuid(33), quantity: 'efficiency', value: 92, unit: '%', room: 25 }),
  claimOf({ id: uuid(34), quantity: 'regulation', comparator: 'within ±', value: 4, unit: '%' }),
  claimOf({ id: uuid(35), quantity: 'alarm voltage', comparator: 'at least', value: 21, unit: 'V' }),
  claimOf({ id: uuid(36), quantity: 'overload trip', value: 1800, unit: 'W' }),
]

/** Looks at the entries until all of a ladder of so many steps is worked out; and how many more for one step more. */
function looksFor(steps: number): { readonly all: number; readonly more: number } {
  const ladder = Array.from({ length: steps + 1 }, (_, i) => {
    const P = 60 + (1340 * i) / steps
    const I = (P + 10.4 + 0.021 * P + 3.1e-5 * P ** 2) / 25.61
    return ladderEntry(
      { V_A: 25.92 - 0.003 * I, V_B: 25.9 - 0.01 * I, I, V_C: 230, P_C: P },
      { load: `load ${i}`, held: 600, temperatures: [{ place: 'room', celsius: 21 }] },
    )
  })
  const { entries, looks } = counted([noLoadEntry({ V_B: 25.9, I: 0.4 }), ...ladder])
  const trial = trialOf([revisionOf({ unit: unitOf({ claims }) })])
  const work = (known: readonly Entry[]) => {
    for (const piece = workOut(viewTrial(trial, known), trial); !piece.next().done;);
    return looks()
  }
  const all = work(entries.slice(0, -1))
  return { all, more: work(entries) - all }
}

describe('work', () => {
  const some = looksFor(150)
  const twice = looksFor(300)

  it('is twice for twice the steps', () => {
    expect(some.all).toBeGreaterThan(10_000)
    expect(twice.all / some.all).toBeLessThan(2.1)
  })

  it('is not done again for one step more: the others are put in order and gathered, and not read', () => {
    const read = some.all / 150
    const gathered = (twice.more - some.more) / 150
    expect(gathered).toBeLessThan(read / 10)
  })
})
