import type { Entry } from '@even-watt/contract'
import fc from 'fast-check'
import { outboxSlice, type OutboxState, type Unsent } from './slice'

const { restored, captured, acknowledged, serverAway, setAside, settled } = outboxSlice.actions
const reduce = outboxSlice.reducer
const empty = reduce(undefined, { type: 'start' })

const item = (n: number): Unsent => {
  const entry: Entry = {
    id: `id ${n}`,
    revision: 1,
    at: '2026-03-12T09:00:00.000Z',
    kind: 'motors',
    reading: { number: n, load: 'pump', outcome: 'started' },
  }
  return { trial: 'one', entry }
}
const refused = (n: number) => ({ ...item(n), why: 'not this' })
const ids = (items: readonly Unsent[]) => items.map(({ entry }) => entry.id)

describe('the outbox', () => {
  it('keeps entries in order until they are acknowledged', () => {
    const two = reduce(reduce(empty, captured([item(1)])), captured([item(2), item(3)]))
    expect(ids(two.unsent)).toEqual(['id 1', 'id 2', 'id 3'])
    expect(ids(reduce(two, acknowledged(['id 2'])).unsent)).toEqual(['id 1', 'id 3'])
  })

  it('puts what an earlier visit left first, and nothing twice', () => {
    const now = reduce(empty, captured([item(2)]))
    expect(ids(reduce(now, restored({ unsent: [item(1), item(2)], aside: [] })).unsent)).toEqual([
      'id 1',
      'id 2',
    ])
  })

  it('sets one aside without holding up the others, until the tester has settled it', () => {
    const three = reduce(empty, captured([item(1), item(2), item(3)]))
    const aside = reduce(three, setAside(refused(2)))
    expect(ids(aside.unsent)).toEqual(['id 1', 'id 3'])
    expect(aside.aside).toEqual([refused(2)])
    // Another tab set it aside too, or this one at an earlier visit: still once.
    expect(reduce(aside, restored({ unsent: [item(2)], aside: [refused(2)] }))).toMatchObject({
      aside: [refused(2)],
      unsent: aside.unsent,
    })
    expect(reduce(aside, settled('id 2')).aside).toEqual([])
  })

  it('says when the server is away, until something is taken again', () => {
    const away = reduce(reduce(empty, captured([item(1), item(2)])), serverAway())
    expect(away.away).toBe(true)
    expect(reduce(away, acknowledged(['id 1'])).away).toBe(false)
  })

  it('loses nothing that was captured and neither acknowledged nor settled, in whatever order things happen', () => {
    const action = fc.record({
      kind: fc.constantFrom('capture', 'acknowledge', 'aside', 'settle', 'away', 'restore'),
      n: fc.integer({ min: 0, max: 20 }),
    })
    fc.assert(
      fc.property(fc.array(action), (actions) => {
        let state: OutboxState = empty
        const waiting = new Set<string>()
        const aside = new Set<string>()
        const seen = new Set<number>()
        for (const { kind, n } of actions) {
          const id = `id ${n}`
          if (kind === 'capture' && !seen.has(n)) {
            seen.add(n)
            waiting.add(id)
            state = reduce(state, captured([item(n)]))
          } else if (kind === 'acknowledge') {
            waiting.delete(id)
            state = reduce(state, acknowledged([id]))
          } else if (kind === 'aside' && waiting.has(id)) {
            waiting.delete(id)
            aside.add(id)
            state = reduce(state, setAside(refused(n)))
          } else if (kind === 'settle') {
            aside.delete(id)
            state = reduce(state, settled(id))
          } else if (kind === 'away') state = reduce(state, serverAway())
          else if (kind === 'restore')
            state = reduce(state, restored({ unsent: [...state.unsent], aside: [...state.aside] }))
        }
        expect(new Set(ids(state.unsent))).toEqual(waiting)
        expect(new Set(ids(state.aside))).toEqual(aside)
        expect(state.unsent.length + state.aside.length).toBe(waiting.size + aside.size)
      }),
    )
  })
})
