import type { EntryOf, Entry, Claim } from '@even-watt/contract'
import fc from 'fast-check'
import {
  checkIn,
  logEntry,
  meterOf,
  rangeOf,
  revisionOf,
  stationOf,
  trialOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { isFigure } from '../figures'
import { viewTrial } from '../view'
import { chargesOf, coldVolts, inputCourse, inputPoints, joinPanels, solarDay } from '.'

const meter = meterOf({
  ranges: [...meterOf().ranges, rangeOf('DC power', 1500, 1, 2, 0.1), rangeOf('energy', 1e5, 1, 1, 1)],
})
let made = 0
const input = (volts: number, amps: number, source: 'solar' | 'wall' = 'solar'): EntryOf<'charging'> => ({
  id: uuid(600 + made++),
  revision: 1,
  at: new Date(Date.UTC(2026, 3, 14, 8, made)).toISOString(),
  kind: 'charging',
  reading: { test: 'input', source, values: valuesOf({ V_in: volts, I_in: amps, P_in: volts * amps }) },
})
const look = (entries: readonly Entry[], patch: Partial<Claim> = {}) => {
  const claim: Claim = {
    id: uuid(30),
    quantity: 'charge power',
    comparator: 'at least',
    value: 210,
    unit: 'W',
    readWhere: 'label',
    ...patch,
  }
  const view = viewTrial(trialOf([revisionOf({ unit: stationOf([claim]), meters: [meter] })]), entries)
  const [analysis] = view.analyses
  if (!analysis) throw new Error('no analysis')
  return { analysis, finding: view.findings[0]?.standing }
}

const panel = { owned: 2, openVolts: 22.4, shortAmps: 6.2, watts: 110, perKelvin: -0.29, coldest: -5 }

describe('panels', () => {
  it('have more volts when it is cold: 24.35 V alone, 48.70 V in series', () => {
    expect(coldVolts(panel, 1)).toBeCloseTo(24.35, 2)
    expect(coldVolts(panel, 2)).toBeCloseTo(48.7, 1)
  })
  it('are joined in parallel only where two in series would be over the limit', () => {
    const ways = joinPanels(panel, { volts: 36, amps: undefined, watts: undefined, from: 13 })
    expect(ways[0]).toMatchObject({ inSeries: 1, inParallel: 2, forbidden: false })
    expect(ways.at(-1)).toMatchObject({ inSeries: 2, inParallel: 1, forbidden: true })
    expect(ways.at(-1)?.against[0]).toContain('is over the 36 V that it stands')
  })
  it('give no more than the input takes, and nothing under the volts that it needs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 20, max: 500 }), (owned, watts) => {
        const ways = joinPanels({ ...panel, owned }, { volts: 60, amps: 10, watts, from: 30 })
        for (const way of ways) {
          expect(way.watts).toBeLessThanOrEqual(watts)
          expect(way.inSeries * way.inParallel).toBeLessThanOrEqual(owned)
          if (way.inSeries === 1) expect(way.watts).toBe(0)
        }
      }),
    )
  })
})

describe('what an input takes', () => {
  const rising = [
    [13, 10],
    [15, 10],
    [18, 10],
    [21, 10],
    [24, 8.75],
    [28, 7.5],
    [33, 6.364],
  ].map(([V = 0, A = 0]) => input(V, A))
  it('is told apart in amps that stay alike, and watts that do', () => {
    const course = inputCourse(inputPoints(look(rising).analysis.record))
    expect(course?.amps).toBeCloseTo(10, 6)
    expect(course?.watts).toBeCloseTo(210, 1)
    expect(course?.turnsAt).toBeCloseTo(21, 1)
  })
  it('may be of one kind alone, or of neither', () => {
    const of = (pairs: number[][]) =>
      inputCourse(inputPoints(look(pairs.map(([V = 0, A = 0]) => input(V, A))).analysis.record))
    expect(
      of([
        [15, 10],
        [20, 10],
        [30, 10],
      ]),
    ).toMatchObject({ watts: undefined })
    expect(
      of([
        [15, 14],
        [20, 10.5],
        [30, 7],
      ])?.watts,
    ).toBeCloseTo(210, 6)
    expect(
      of([
        [15, 2],
        [20, 9],
        [30, 4],
      ]),
    ).toMatchObject({ amps: undefined, watts: undefined })
    expect(
      of([
        [15, 2],
        [20, 9],
      ]),
    ).toBeUndefined()
  })
  it('breaks its promise where the input itself ends there, not where the sun did', () => {
    expect(look(rising, { value: 250 }).finding?.outcome).toBe('not met')
    expect(look([input(18, 6)], { value: 250 }).finding).toMatchObject({
      outcome: 'not shown',
      limiter: 'supply',
    })
    expect(look([input(18, 6, 'wall')], { value: 250, source: 'wall' }).finding?.outcome).toBe('not met')
    expect(look(rising, { value: 200 }).finding?.outcome).toBe('met')
  })
})

describe('a charge', () => {
  const log = logEntry({ what: 'charge', source: 'wall', charge: 0 })
  const watts = (minutes: number) => (minutes < 200 ? 240 : 240 * Math.exp(-(minutes - 200) / 15))
  const entries = [
    log,
    ...Array.from({ length: 28 }, (_, i) =>
      checkIn(log, i * 10, { P_wall: watts(i * 10) }, { charge: Math.min(1, i / 22) }),
    ),
  ]
  it('is full where its input falls under a twentieth, and tapers before', () => {
    const [charge] = chargesOf(look(entries).analysis)
    expect((charge?.full ?? 0) / 60).toBe(250)
    expect((charge?.tapers ?? 0) / 60).toBe(210)
    expect(charge?.sentence).toMatch(
      /^From 0(\.0)? % to 100 % took \d+ Wh, at up to 240 W; full after 4 h 10 min; it tapers from 3 h 30 min on\. Its gauge said full 30 min before it stopped taking/,
    )
  })
  it('is judged from empty only, and its round trip needs a run-down to the end', () => {
    const time = { quantity: 'charge time', comparator: 'at most', value: 4, unit: 'h' } as const
    expect(look(entries, time).finding?.outcome).toBe('not met')
    expect(look(entries, { ...time, value: 5 }).finding?.outcome).toBe('met')
    const half = logEntry({ what: 'charge', source: 'wall', charge: 0.5 })
    const from = (began: EntryOf<'log'>) => [began, ...entries.slice(1)]
    // Too long even from half is too long from empty; soon enough from half says nothing of that.
    expect(look(from(half), time).finding).toMatchObject({
      outcome: 'not met',
      sentence: 'From 50 % it was full after 4 h 10 min, against ≤ 4 h.',
    })
    expect(look(from(half), { ...time, value: 5 }).finding?.outcome).toBe('not shown')
    expect(isFigure(chargesOf(look(entries).analysis)[0]?.roundTrip ?? { missing: '' })).toBe(false)
    const run = logEntry({ what: 'run-down', watts: 300 }, 2)
    const both = [
      ...entries,
      run,
      checkIn(run, 0, { P_C: 300 }),
      checkIn(run, 120, { P_C: 300 }, { ended: 'BMS' }),
    ]
    const trip = chargesOf(look(both).analysis)[0]?.roundTrip
    expect(trip && isFigure(trip) && trip.x.value).toBeCloseTo(600 / 860, 1)
  })
  it('is from empty only where that is noted, seen or was just done', () => {
    const time = { quantity: 'charge time', comparator: 'at most', value: 5, unit: 'h' } as const
    const began = logEntry({ what: 'charge', source: 'wall' }, 5)
    const charged = [
      began,
      ...Array.from({ length: 28 }, (_, i) => checkIn(began, i * 10, { P_wall: watts(i * 10) })),
    ]
    expect(look(charged, time).finding?.outcome).toBe('not shown')
    expect(look(charged, time).finding?.sentence).toContain('How full it was before is not noted')
    const emptied = (n: number, ended: 'BMS' | 'by hand') => {
      const run = logEntry({ what: 'run-down', watts: 300 }, n)
      return [run, checkIn(run, 0, { P_C: 300 }), checkIn(run, 120, { P_C: 300 }, { ended })]
    }
    const after = (...before: readonly Entry[]) => look([...before, ...charged], time)
    expect(after(...emptied(2, 'BMS')).finding?.outcome).toBe('met')
    expect(isFigure(chargesOf(after(...emptied(2, 'BMS')).analysis)[0]?.roundTrip ?? { missing: '' })).toBe(
      true,
    )
    // Stopped by hand, afterwards, or with another charge between: nobody knows.
    for (const before of [
      emptied(2, 'by hand'),
      emptied(6, 'BMS'),
      [...emptied(2, 'BMS'), logEntry({ what: 'charge', source: 'solar' }, 3)],
    ]) {
      expect(after(...before).finding?.outcome).toBe('not shown')
      const last = chargesOf(after(...before).analysis).at(-1)
      expect(isFigure(last?.roundTrip ?? { missing: '' })).toBe(false)
    }
  })
  it('says by its gauge what reached the store, where a label says what that holds', () => {
    const [charge] = chargesOf(look(entries, { quantity: 'energy', value: 800, unit: 'Wh' }).analysis)
    expect(charge?.conversion).toBeCloseTo(800 / 860, 1)
    expect(charge?.sentence).toMatch(/By its gauge and label 9\d % of it is in the store\./)
    expect(chargesOf(look(entries).analysis)[0]?.conversion).toBeUndefined()
  })
  it('of the sun says for how long it hunted', () => {
    const sun = logEntry({ what: 'charge', source: 'solar' })
    const taken = [200, 200, 1, 1, 200, 200, 200, 200, 200, 200]
    const day = solarDay(
      look([sun, ...taken.map((W, i) => checkIn(sun, i, { P_in: W }, { irradiance: W > 10 ? 1000 : 300 }))])
        .analysis.logs[0] ?? ({} as never),
    )
    expect(day?.hunting).toBeCloseTo(0.2, 9)
    expect(day?.perLight).toBeCloseTo(0.2, 9)
  })
})
