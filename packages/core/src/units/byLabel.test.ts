import type { Unit } from '@even-watt/contract'
import fc from 'fast-check'
import { claimOf } from '../../test/verdicts'
import { unitOf } from '../../test/makers'
import { chooseAmong, featuresNoted, hasFeature, labelled } from '.'

const sibling = (
  name: string,
  watts: number,
  surge: number | undefined,
  amount?: number,
  patch: Partial<Unit> = {},
) =>
  unitOf({
    name,
    claims: [
      claimOf({ value: watts }),
      ...(surge ? [claimOf({ quantity: 'surge power', value: surge, duration: 2 })] : []),
    ],
    ...(amount === undefined ? {} : { price: { amount, currency: 'EUR' } }),
    ...patch,
  })
const terminals = (says: string): Partial<Unit> => ({ features: [{ what: 'Hardwiring terminals', says }] })

describe('a choice by labels', () => {
  const small = sibling('small', 600, 1200, 180, terminals('none'))
  const middle = sibling('middle', 1400, 2700, 389, terminals('yes, 6 mm²'))
  const dear = sibling('dear', 1500, 3000, 600, terminals('yes'))
  const bare = sibling('bare', 1500, undefined, 300)

  it('excludes what does not do, each with why, and ranks the rest by price for each rated watt', () => {
    const found = chooseAmong([small, bare, dear, middle], {
      watts: 1000,
      surge: 2500,
      features: ['hardwiring terminals'],
    })
    expect(found.map(({ unit, place }) => [unit.name, place])).toEqual([
      ['middle', 1],
      ['dear', 2],
      ['bare', 3],
      ['small', undefined],
    ])
    expect(found[2]?.open).toEqual(['its surge', 'hardwiring terminals'])
    expect(found[3]?.against).toEqual([
      '600 W for good: 400 W too little.',
      '1200 W for a moment: 1300 W too little.',
      'It has no hardwiring terminals.',
    ])
    // 389 EUR over 1400 W.
    expect(labelled(middle).perWatt).toBeCloseTo(0.27786, 5)
  })

  it('excludes what is for another bank', () => {
    const [found] = chooseAmong([unitOf({ inputVoltage: 48 })], { bank: 24 })
    expect(found?.against).toEqual(['It is for a bank of 48.0 V.'])
  })

  it('keeps every unit once, whatever is wanted, and the order in which they came ranks nothing', () => {
    const units = [small, middle, dear, bare]
    fc.assert(
      fc.property(
        fc.shuffledSubarray(units, { minLength: 4 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 0, max: 900 }),
        (shuffled, watts, price) => {
          const of = (list: typeof units) => chooseAmong(list, { watts, price })
          const found = of(shuffled)
          expect(found.map(({ unit }) => unit.name).sort()).toEqual(['bare', 'dear', 'middle', 'small'])
          const places = (list: typeof units) =>
            new Map(of(list).map(({ unit, place }) => [unit.name, place]))
          for (const [name, place] of places(units)) expect(places(shuffled).get(name)).toBe(place)
        },
      ),
    )
  })

  it('knows a feature by its name in any case, and one that nobody answered is not known', () => {
    expect([middle, small, bare].map((unit) => hasFeature(unit, 'HARDWIRING terminals '))).toEqual([
      'has',
      'has not',
      'not known',
    ])
    const asked = unitOf({ features: [{ what: 'warranty', says: 'not answered' }] })
    expect(hasFeature(asked, 'warranty')).toBe('not known')
    expect(featuresNoted([middle, asked, small])).toEqual(['Hardwiring terminals', 'warranty'])
  })
})
