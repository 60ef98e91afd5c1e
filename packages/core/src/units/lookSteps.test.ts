import type { EntryOf } from '@even-watt/contract'
import fc from 'fast-check'
import { unitOf, uuid } from '../../test/makers'
import { lookSteps, nextLook } from '.'

const claims = [1, 2].map((n) => ({
  id: uuid(n),
  quantity: 'continuous power' as const,
  comparator: 'at least' as const,
  value: 1000 * n,
  unit: 'W' as const,
  readWhere: 'label',
}))
const bare = unitOf({ kind: 'inverter', claims: [], provenance: undefined })
const photograph = (about: string | undefined, marked?: string) =>
  ({
    about,
    marks: marked === undefined ? [] : [{ about: marked }],
  }) as unknown as EntryOf<'photograph'>['reading']
const states = (given: Partial<Parameters<typeof lookSteps>[0]>) =>
  Object.fromEntries(
    lookSteps({ unit: bare, photographs: [], opened: 0, ...given }).map(({ words, done }) => [words, done]),
  )

describe('the order of looking over', () => {
  it('begins with where the unit came from', () => {
    const steps = lookSteps({ unit: bare, photographs: [], opened: 0 })
    expect(nextLook(steps)?.todo).toBe('Say whether it was bought, lent or given by the maker.')
    expect(steps.map(({ words }) => words)).toEqual([
      'where it came from',
      'revision',
      'price, mass, size',
      'box',
      'leads and fuse',
      'outlets and ports',
      'claims',
      'photographs of them',
      'neutral and earth',
      'inside',
    ])
  })

  it('counts a claim as photographed by the photograph or by a mark on it', () => {
    const unit = unitOf({ claims })
    expect(states({ unit })['photographs of them']).toBe('none')
    expect(states({ unit, photographs: [photograph(uuid(1))] })['photographs of them']).toBe('part')
    const both = [photograph(uuid(1)), photograph(undefined, uuid(2))]
    expect(states({ unit, photographs: both })['photographs of them']).toBe('whole')
    expect(lookSteps({ unit, photographs: both.slice(1), opened: 0 })[7]?.todo).toBe(
      'One claim has no photograph of where it was read.',
    )
  })

  it('takes a box that names no leads as one that brought none, and asks none of a station', () => {
    expect(states({ unit: unitOf({ box: [{ what: 'manual' }] }) })['leads and fuse']).toBe('whole')
    expect(states({ unit: unitOf({ kind: 'power station' }) })).not.toHaveProperty('leads and fuse')
  })

  it('ends without opening what nobody may open', () => {
    const unit = unitOf({
      claims,
      provenance: { how: 'bought', preProduction: false },
      revision: 'B',
      price: { amount: 389, currency: 'EUR' },
      mass: 4.1,
      size: [0.34, 0.21, 0.09],
      box: [{ what: 'manual' }],
      outlets: [{ what: 'socket', count: 2 }],
      bonding: 'floating',
    })
    const steps = lookSteps({ unit, photographs: claims.map(({ id }) => photograph(id)), opened: 0 })
    expect(nextLook(steps)).toBeUndefined()
    expect(steps.at(-1)).toMatchObject({ words: 'inside', done: 'none', optional: true })
    const half = lookSteps({ unit: { ...unit, mass: undefined }, photographs: [], opened: 1 })
    expect(half[2]?.done).toBe('part')
    expect(half.at(-1)?.done).toBe('whole')
  })

  it('never has less done for something more that was noted', () => {
    const rank = { none: 0, part: 1, whole: 2 }
    const facts: readonly Partial<typeof bare>[] = [
      { provenance: { how: 'lent', preProduction: true } },
      { firmware: '1.08' },
      { mass: 4.1 },
      { size: [0.34, 0.21, 0.09] },
      { price: { amount: 389, currency: 'EUR' } },
      { box: [{ what: 'manual' }] },
      { leads: { gauge: { unit: 'mm²', area: 16 }, length: 0.6 } },
      { outlets: [{ what: 'socket', count: 2 }] },
      { bonding: 'not known' },
    ]
    fc.assert(
      fc.property(fc.shuffledSubarray([...facts]), (noted) => {
        let unit = bare
        let before = lookSteps({ unit, photographs: [], opened: 0 })
        for (const fact of noted) {
          unit = { ...unit, ...fact }
          const after = lookSteps({ unit, photographs: [], opened: 0 })
          after.forEach((step, i) =>
            expect(rank[step.done]).toBeGreaterThanOrEqual(rank[before[i]?.done ?? 'none']),
          )
          before = after
        }
      }),
    )
  })
})
