import type { Entry } from '@even-watt/contract'
import fc from 'fast-check'
import { outboxSlice, type OutboxState, type Unsent } from './slice'

const { restored, captured, acknowledged, serverAway, refused } = outboxSlice.actions
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
const ids = (state: OutboxState) => state.unsent.map(({ entry }) => entry.id)

describe('the outbox', () => {
  it('keeps entries in order until they are acknowledged', () => {
    const two = reduce(reduce(empty, captured([item(1)])), captured([item(2), item(3)]))
    expect(ids(two)).toEqual(['id 1', 'id 2', 'id 3'])
    expect(ids(reduce(two, acknowledged(['id 2'])))).toEqual(['id 1', 'id 3'])
  })

  it('puts what an earlier visit left first, and nothing twice', () => {
    const now = reduce(empty, captured([item(2)]))
    expect(ids(reduce(now, restored([item(1), item(2)])))).toEqual(['id 1', 'id 2'])
  })

  it('says when the server is away or refuses, until something is taken again', () => {
    const away = reduce(reduce(empty, captured([item(1), item(2)])), serverAway())
    expect(away.away).toBe(true)
    expect(reduce(away, acknowledged(['id 1'])).away).toBe(false)
    const no = reduce(away, refused({ trial: 'one', sentence: 'not this' }))
    expect(no).toMatchObject({ away: false, refused: { sentence: 'not this' } })
    expect(ids(no)).toEqual(['id 1', 'id 2'])
    expect(reduce(no, acknowledged(['id 1', 'id 2']))).toMatchObject({ refused: undefined, unsent: [] })
  })

  it('loses nothing that was captured and not acknowledged, in whatever order things happen', () => {
    const action = fc.oneof(
      fc.integer({ min: 0, max: 20 }).map((n) => ({ kind: 'capture' as const, n })),
      fc.integer({ min: 0, max: 20 }).map((n) => ({ kind: 'acknowledge' as const, n })),
      fc.constant({ kind: 'away' as const, n: 0 }),
    )
    fc.assert(
      fc.property(fc.array(action), (actions) => {
        let state = empty
        const open = new Set<string>()
        const seen = new Set<number>()
        for (const { kind, n } of actions) {
          if (kind === 'capture' && !seen.has(n)) {
            seen.add(n)
            open.add(`id ${n}`)
            state = reduce(state, captured([item(n)]))
          } else if (kind === 'acknowledge') {
            open.delete(`id ${n}`)
            state = reduce(state, acknowledged([`id ${n}`]))
          } else if (kind === 'away') state = reduce(state, serverAway())
        }
        expect(new Set(ids(state))).toEqual(open)
      }),
    )
  })
})
