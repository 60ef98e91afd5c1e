import type { Claim, Entry } from '@even-watt/contract'
import fc from 'fast-check'
import {
  bankOf,
  meterOf,
  noLoadEntry,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { isFigure, type Derived } from '../figures'
import { expanded, standard, uncertain } from '../meters'
import { viewTrial } from '../view'
import { idleCost, usableEnergy, weakIdle } from '.'

const capacity = bankOf()
const open = bankOf()
for (const battery of open.strings.flat()) delete battery.capacity

const viewed = (
  entries: readonly Entry[],
  claims: Claim[] = [],
  patch: Parameters<typeof revisionOf>[0] = {},
) => viewTrial(trialOf([revisionOf({ unit: unitOf({ claims }), ...patch })]), [...entries])
const idleOf = (entries: readonly Entry[], patch: Parameters<typeof revisionOf>[0] = {}) => {
  const [analysis] = viewed(entries, [], patch).analyses
  if (!analysis) throw new Error('No rig.')
  return analysis.noLoad
}
const value = (figure: Derived) => (isFigure(figure) ? figure.x.value : NaN)

describe('what an idle draw costs', () => {
  it('is the method’s example: 10.24 W on 3456 Wh', () => {
    expect(usableEnergy(capacity)).toBeCloseTo(3456, 9)
    const cost = idleCost(uncertain(10.24, 'meter', 0.1), capacity)
    expect(cost.perDay.value).toBeCloseTo(245.76, 9)
    expect(100 * (cost.perNight?.value ?? NaN)).toBeCloseTo(3.556, 3)
    expect(cost.daysUntilFlat?.value).toBeCloseTo(14.0625, 9)
  })

  it('is told only as far as the bank is known', () => {
    expect(usableEnergy(open)).toBeUndefined()
    const cost = idleCost(uncertain(10, 'meter', 0.1), open)
    expect(cost.perDay.value).toBe(240)
    expect([cost.perNight, cost.daysUntilFlat]).toEqual([undefined, undefined])
  })

  it('of nothing drawn never empties a bank', () => {
    const cost = idleCost(uncertain(0, 'meter', 0.1), capacity)
    expect(cost.perNight?.value).toBe(0)
    expect(cost.daysUntilFlat).toBeUndefined()
  })

  it('spends the usable energy exactly in the days it says, and is as well known as the watts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        fc.double({ min: 0.001, max: 0.3, noNaN: true }),
        (watts, share) => {
          const { perDay, perNight, daysUntilFlat } = idleCost(
            uncertain(watts, 'meter', watts * share),
            capacity,
          )
          expect(perDay.value * (daysUntilFlat?.value ?? NaN)).toBeCloseTo(3456, 6)
          expect((perNight?.value ?? NaN) * 3456).toBeCloseTo(perDay.value / 2, 6)
          for (const x of [perDay, perNight, daysUntilFlat])
            expect(x && standard(x) / x.value).toBeCloseTo(share, 9)
        },
      ),
    )
  })
})

describe('an idle current', () => {
  it('is weak under 20 counts, and inside the meter’s own counts', () => {
    const range = { count: 0.1, counts: 3 }
    expect(weakIdle(0.3, range)).toContain('inside the meter')
    expect(weakIdle(-0.2, range)).toContain('2 counts')
    expect(weakIdle(1.9, range)).toContain('under 20')
    expect(weakIdle(2, range)).toBeUndefined()
    expect(weakIdle(0.4, { count: 0.001, counts: 3 })).toBeUndefined()
  })

  it('that is weak is noticed, and the finer range of the same meter is the way out', () => {
    const coarse = viewed([noLoadEntry({ V_B: 25.6, I: 0.4 })])
    expect(coarse.oddities.flat().map(({ number }) => number)).toContain(11)
    const meter = meterOf({ ranges: [...meterOf().ranges, rangeOf('DC current', 4, 1, 3, 0.001)] })
    const fine = viewed([noLoadEntry({ V_B: 25.6, I: 0.4 })], [], { meters: [meter] })
    expect(fine.oddities.flat().map(({ number }) => number)).not.toContain(11)
  })
})

describe('idle power', () => {
  it('is V_B·I with what both meters may be wrong by', () => {
    const { P_idle } = idleOf([noLoadEntry({ V_B: 25.6, I: 4 })]).on
    expect(value(P_idle)).toBeCloseTo(102.4, 9)
    // 0.5 % of 25.6 + 2 counts, and 2 % of 4 + 3 counts, both rectangular; k = 2.
    const U = (2 * Math.hypot(4 * (0.005 * 25.6 + 0.02), 25.6 * (0.02 * 4 + 0.3))) / Math.sqrt(3)
    expect(isFigure(P_idle) && expanded(P_idle.x) / U).toBeCloseTo(1, 1)
  })

  it('from the posts alone is V_A·I less what the path may take: the method’s 11.43 W', () => {
    const { P_idle } = idleOf([noLoadEntry({ V_A: 12.71, I: 0.9 })]).on
    expect(value(P_idle)).toBeCloseTo(12.71 * 0.9 - 0.01 * 0.81, 9)
    expect(isFigure(P_idle) && P_idle.working.notes?.join(' ')).toContain('between nothing and 20 mΩ')
  })

  it('is missing, and says of what, where volts or amps are', () => {
    const { P_idle, perDay, perNight } = idleOf([noLoadEntry({ V_C: 230 })]).on
    expect([P_idle, perDay, perNight].every((one) => !isFigure(one))).toBe(true)
  })

  it('is the mean of what was read, in whatever order', () => {
    const amps = fc.array(fc.integer({ min: 30, max: 60 }), { minLength: 1, maxLength: 6 })
    fc.assert(
      fc.property(amps, (tenths) => {
        const entries = tenths.map((tenth) => noLoadEntry({ V_B: 25.6, I: tenth / 10 }))
        const mean = tenths.reduce((sum, tenth) => sum + tenth / 10, 0) / tenths.length
        expect(value(idleOf(entries).on.P_idle)).toBeCloseTo(25.6 * mean, 6)
        expect(value(idleOf([...entries].reverse()).on.P_idle)).toBeCloseTo(25.6 * mean, 6)
      }),
      { numRuns: 30 },
    )
  })

  it('of search mode is kept apart', () => {
    const both = idleOf([
      noLoadEntry({ V_B: 25.6, I: 4 }),
      noLoadEntry({ V_B: 25.6, I: 1 }, { mode: 'search' }),
    ])
    expect([value(both.on.P_idle), value(both.search.P_idle)]).toEqual([
      expect.closeTo(102.4, 6),
      expect.closeTo(25.6, 6),
    ])
    expect(isFigure(idleOf([noLoadEntry({ V_B: 25.6, I: 1 }, { mode: 'search' })]).on.P_idle)).toBe(false)
  })

  it('says what it costs only where the capacity of the bank is known', () => {
    const { perDay, daysUntilFlat } = idleOf([noLoadEntry({ V_B: 25.6, I: 4 })], {
      rig: rigOf({ bank: open }),
    }).on
    expect(value(perDay)).toBeCloseTo(2457.6, 6)
    expect(daysUntilFlat).toEqual({ missing: 'The capacity of the bank is not known.' })
  })
})

describe('something connected in an idle reading', () => {
  const loaded = [noLoadEntry({ V_B: 25.6, I: 4, I_C: 0.4, P_C: 60 })]
  const claim: Claim = {
    id: uuid(70),
    quantity: 'idle draw',
    comparator: 'at most',
    value: 11,
    unit: 'W',
    readWhere: 'label',
  }

  it('is noticed by the watts and by the amps, and the figure decides nothing', () => {
    const { oddities, findings } = viewed(loaded, [claim])
    expect(
      oddities
        .flat()
        .filter(({ number }) => number === 4)
        .map(({ at }) => at.quantity),
    ).toEqual(['I_C', 'P_C'])
    expect(findings[0]?.standing.outcome).not.toMatch(/^(not )?met/)
  })

  it('is not what a meter may show of nothing', () => {
    // 3 counts of 0.01 A and 1 count of 1 W are within what the meters allow at nothing.
    const { oddities } = viewed([noLoadEntry({ V_B: 25.6, I: 0.4, I_C: 0.01, P_C: 1 })])
    expect(oddities.flat().map(({ number }) => number)).not.toContain(4)
  })
})
