import type { Claim, EntryOf, Entry, LimitOf, Revision } from '@even-watt/contract'
import fc from 'fast-check'
import { seeded } from '../../../bench/src/random'
import {
  checkIn,
  logEntry,
  meterOf,
  parallelOf,
  rangeOf,
  revisionOf,
  rigOf,
  stationOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { isFigure, type Figure } from '../figures'
import { ranFor, seriesFor, type Log } from '../logs'
import { expanded } from '../meters'
import { notice } from '../notice'
import { viewTrial } from '../view'
import {
  batteriesIn,
  deliveredCurve,
  deratesFrom,
  dutyWatts,
  fanOf,
  firstEmpty,
  gaugeChecks,
  heatOf,
  hoursAt,
  noiseDuring,
  noisesOf,
  reachedOf,
  runDownsOf,
  sayGauge,
  withoutBackground,
  worstOf,
} from '.'

const meter = meterOf({
  ranges: [...meterOf().ranges, rangeOf('energy', 1e6, 1, 1, 1), rangeOf('temperature', 300, 0, 10, 0.1)],
})
const claim = (patch: Partial<Claim>): Claim => ({
  id: uuid(30),
  quantity: 'energy',
  comparator: 'at least',
  value: 1040,
  unit: 'Wh',
  readWhere: 'label',
  ...patch,
})

const look = (entries: readonly Entry[], revision: Partial<Revision> = {}) => {
  const view = viewTrial(
    trialOf([revisionOf({ unit: stationOf([claim({})]), meters: [meter], ...revision })]),
    entries,
  )
  const [analysis] = view.analyses
  if (!analysis) throw new Error('no analysis')
  return { view, analysis, logs: analysis.logs, log: analysis.logs[0] as Log }
}

const value = (figure: unknown) => (figure as Figure).x.value

const slow = logEntry({ what: 'run-down', watts: 300, full: 'charger said full' })
/** 300 W for three hours, then empty. */
const runDown = (
  log: EntryOf<'log'> = slow,
  watts = 300,
  hours = 3,
  why: 'BMS' | 'by hand' | 'heat' = 'BMS',
) => [
  log,
  ...[0, 0.25, 0.5, 0.75].map((share) =>
    checkIn(log, share * hours * 60, { P_C: watts, V_C: 119 }, { charge: 1 - share ** 1.3 }),
  ),
  checkIn(log, hours * 60, {}, { ended: why }),
]

describe('a run-down', () => {
  it('comes to its watt-hours over real times, to its end', () => {
    const { log } = look(runDown())
    expect(value(log.energies.E_C.figure)).toBeCloseTo(900, 9)
    expect([log.seconds, ranFor(log), log.ended?.why]).toEqual([10_800, 10_800, 'BMS'])
    // 1 % and a count of the wattmeter, common to all readings.
    expect(expanded((log.energies.E_C.figure as Figure).x)).toBeGreaterThan(
      (2 * (9 + 3)) / Math.sqrt(3) - 0.5,
    )
  })

  it('is the same whatever the order in which its readings came', () => {
    const entries = runDown()
    fc.assert(
      fc.property(fc.shuffledSubarray(entries.slice(1), { minLength: entries.length - 1 }), (rest) => {
        expect(value(look([slow, ...rest]).log.energies.E_C.figure)).toBeCloseTo(900, 9)
      }),
      { numRuns: 20 },
    )
  })

  it('believes a counter that stood, and adds up where it began again', () => {
    const counted = (last: number) => [
      slow,
      checkIn(slow, 0, { P_C: 300, E_C: 2 }),
      checkIn(slow, 60, { P_C: 300, E_C: 306 }),
      checkIn(slow, 120, { P_C: 300, E_C: last }, { ended: 'BMS' }),
    ]
    expect(value(look(counted(610)).log.energies.E_C.figure)).toBe(608)
    const again = look(counted(280)).log.energies.E_C
    expect(value(again.figure)).toBe(600)
    expect(again.counted?.x.value).toBe(304 + 280)
  })

  it('counts a counter that was zeroed at its beginning from there', () => {
    const { log } = look([
      slow,
      checkIn(slow, 60, { E_C: 300 }),
      checkIn(slow, 120, { E_C: 600 }, { ended: 'BMS' }),
    ])
    expect(value(log.energies.E_C.figure)).toBe(600)
  })

  it('leaves out what stands before its beginning, and says so', () => {
    const early = checkIn(slow, -30, { P_C: 900 })
    const { log, analysis } = look([...runDown(), early])
    expect(value(log.energies.E_C.figure)).toBeCloseTo(900, 9)
    expect(notice(analysis).some(({ odd }) => odd.includes('stands outside the time of this log'))).toBe(true)
  })

  it('goes on in segments where heat stops it', () => {
    const entries = [
      slow,
      checkIn(slow, 0, { P_C: 800 }),
      checkIn(slow, 50, { P_C: 800 }),
      checkIn(slow, 51, { P_C: 0 }, { event: 'stopped', alarm: 'heat' }),
      checkIn(slow, 60, { P_C: 800 }, { event: 'resumed' }),
      checkIn(slow, 70, {}, { ended: 'BMS' }),
    ]
    const { log, analysis } = look(entries)
    expect(ranFor(log) / 60).toBe(61)
    expect(runDownsOf(analysis)[0]?.sentence).toMatch(
      /; heat stopped it at 51 min, for 9 min\. A BMS cut off\. At 0\.82 C\.$/,
    )
  })

  it('says that a BMS may have ended it, where its volts stood when low voltage was noted', () => {
    const rig = revisionOf({
      unit: unitOf({ claims: [claim({ quantity: 'cutoff voltage', value: 20.8, unit: 'V' })] }),
    })
    const entries = [
      slow,
      checkIn(slow, 0, { V_B: 26, P_C: 300 }),
      checkIn(slow, 60, { V_B: 24.9, P_C: 300 }, { ended: 'low voltage' }),
    ]
    expect(runDownsOf(look(entries, rig).analysis)[0]?.why).toContain('over its cutoff of 20.8 V')
  })
})

describe('the promise of energy', () => {
  const verdict = (entries: readonly Entry[], patch: Partial<Claim>) =>
    look(entries, { unit: stationOf([claim(patch)]) }).view.findings[0]?.standing
  it('is judged at the outlet where its label says so', () => {
    expect(verdict(runDown(), { means: 'at the outlet' })?.outcome).toBe('not met')
    expect(verdict(runDown(), { means: 'at the outlet', value: 880 })?.outcome).toBe(
      'met, within uncertainty',
    )
  })
  it('is not shown where the label does not say what it means, nor of cells without a tap', () => {
    expect(verdict(runDown(), {})).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    expect(verdict(runDown(), {})?.sentence).toContain('87 %')
    expect(verdict(runDown(), { means: 'cells' })).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
  })
  it('is never failed by a run that was ended by hand, nor by heat before its store was empty', () => {
    for (const why of ['by hand', 'heat'] as const)
      expect(verdict(runDown(slow, 300, 2, why), { means: 'at the outlet' })).toMatchObject({
        outcome: 'not shown',
        limiter: 'time',
      })
  })
  it('is not failed by a store of which nobody knows that it was full; repeats are averaged', () => {
    const from = (more: Partial<EntryOf<'log'>['reading']>) =>
      runDown(logEntry({ what: 'run-down', watts: 300, ...more }))
    const promises: Partial<Claim>[] = [
      { means: 'at the outlet' },
      { quantity: 'run time', value: 3.5, unit: 'h', load: 300 },
    ]
    for (const promise of promises) {
      for (const full of [
        {},
        { full: 'not full' },
        { full: 'not known' },
        { charge: 0.9 },
        { full: 'not full', charge: 1 },
      ] as const)
        expect(verdict(from(full), promise)).toMatchObject({ outcome: 'not shown', limiter: 'supply' })
      for (const full of [{ full: 'its gauge said 100 %' }, { charge: 1 }] as const)
        expect(verdict(from(full), promise)?.outcome).toBe('not met')
      // Less than full, it may still give what was promised.
      const half = promise.unit === 'h' ? { value: 2 } : { value: 600 }
      expect(verdict(from({ full: 'not full' }), { ...promise, ...half })?.outcome).toBe('met')
    }
    const again = logEntry({ what: 'run-down', watts: 300, full: 'charger said full' }, 2)
    const both = [...runDown(), ...runDown(again, 300, 3.8)]
    // 3 h and 3.8 h: of two, with one degree of freedom, k is 13.97.
    const pooled = verdict(both, { quantity: 'run time', value: 3.5, unit: 'h', load: 300 })
    expect(pooled?.outcome).toBe('not met, within uncertainty')
    expect(pooled?.figure?.x.value).toBeCloseTo(3.4, 9)
    // A lighter load that ended early from a store that was not full says nothing of a heavier one.
    expect(verdict(from({}), { quantity: 'run time', value: 4, unit: 'h', load: 400 })?.outcome).toBe(
      'not shown',
    )
  })
  it('is not decided by watts that nobody read', () => {
    const unread = [slow, checkIn(slow, 0, {}, { charge: 1 }), checkIn(slow, 180, {}, { ended: 'BMS' })]
    expect(verdict(unread, { means: 'at the outlet' })?.outcome).toBe('not tested')
    expect(verdict(unread, { quantity: 'run time', value: 5, unit: 'h', load: 300 })?.outcome).toBe(
      'not tested',
    )
  })
  it('of a run time is judged at its load, and by a harder or a lighter one to one side only', () => {
    const time = (value: number, load: number) =>
      verdict(runDown(), { quantity: 'run time', value, unit: 'h', load })?.outcome
    expect([time(3.5, 300), time(2, 300), time(2, 250), time(2, 400), time(4, 400)]).toEqual([
      'not met',
      'met',
      'met',
      'not shown',
      'not met',
    ])
  })
})

describe('when it will end', () => {
  it('is said at each check-in within its stated interval, in nine of ten runs from half-way on', () => {
    const random = seeded(44)
    let [within, told] = [0, 0]
    for (let k = 0; k < 120; k++) {
      const watts = 100 + 700 * random.next()
      // A store gives 84 % of its label at the outlet, give or take what labels and converters differ by.
      const Wh = 1040 * (0.84 + 0.05 * random.normal())
      const end = (Wh / watts) * 60
      const log = logEntry({ what: 'run-down', watts }, k)
      const shares = [0, 0.15, 0.3, 0.5, 0.65, 0.8]
      const entries = [
        log,
        ...shares.map((share) => checkIn(log, share * end, { P_C: watts * (1 + 0.004 * random.normal()) })),
        checkIn(log, end, {}, { ended: 'BMS' }),
      ]
      for (const { at, end: said, within: U } of runDownsOf(look(entries).analysis)[0]?.predicted
        ?.predictions ?? []) {
        if (at < 0.499 * end * 60) continue
        told++
        if (Math.abs(said - end * 60) <= U) within++
      }
    }
    expect(told).toBeGreaterThan(300)
    expect(within / told).toBeGreaterThanOrEqual(0.9)
  })
  it('is known far better after a run-down at this load', () => {
    const second = logEntry({ what: 'run-down', watts: 300 }, 2)
    const runs = runDownsOf(
      look([...runDown(), second, checkIn(second, 0, { P_C: 300 }), checkIn(second, 90, { P_C: 300 })])
        .analysis,
    )
    expect(runs[1]?.predicted?.usable).toMatchObject({ by: 'an earlier run-down at this load', amount: 900 })
    const last = runs[1]?.predicted?.predictions.at(-1)
    expect((last?.end ?? 0) / 60).toBeCloseTo(180, 6)
    expect((last?.within ?? 0) / 60).toBeLessThan(12)
  })
})

describe('delivered energy against load', () => {
  it('tells how long a load runs, straight between what was run down', () => {
    const curve = [
      { watts: 300, Wh: 871 },
      { watts: 800, Wh: 812 },
    ]
    expect(hoursAt(curve, 550)).toBeCloseTo(841.5 / 550, 9)
    expect(hoursAt(curve, 100)).toBeCloseTo(8.71, 9)
    expect(hoursAt([], 100)).toBeUndefined()
    expect(
      dutyWatts([
        { hours: 12, load: 45 },
        { hours: 2, load: 180 },
      ]),
    ).toBeCloseTo(900 / 14, 9)
  })
  it('stands by rising load, what was ended early marked', () => {
    const quick = logEntry({ what: 'run-down', watts: 800 }, 2)
    const curve = deliveredCurve(
      runDownsOf(look([...runDown(quick, 800, 0.5, 'by hand'), ...runDown()]).analysis),
    )
    expect(curve.map(({ watts, stopped }) => [Math.round(watts), stopped])).toEqual([
      [300, false],
      [800, true],
    ])
  })
})

describe('a gauge against measured energy', () => {
  it('is checked where it was run empty, and the worst is said', () => {
    const { log, analysis } = look(runDown())
    const worst = worstOf(gaugeChecks(log))
    // 0.5 of the energy was left when it showed 1 − 0.5^1.3.
    expect(worst?.left).toBeCloseTo(0.5, 6)
    expect(sayGauge(worst ?? { at: 0, shown: 0, left: 0 })).toBe(
      'it showed 59 % when 50 % was left: 9 points high',
    )
    expect(notice(analysis).some(({ number }) => number === 40)).toBe(true)
  })
  it('is not judged by a run that was ended by hand', () => {
    expect(gaugeChecks(look(runDown(slow, 300, 3, 'by hand')).log)).toEqual([])
  })
})

describe('where heat settles', () => {
  const hold = logEntry({ what: 'rated hold', watts: 1400 })
  const warm = (minutes: number, room = 22) => room + 46 * (1 - Math.exp(-minutes / 14))
  const felt = (minutes: number, room = 22) =>
    checkIn(
      hold,
      minutes,
      { P_C: 1400 },
      {
        temperatures: [
          { place: 'case', celsius: warm(minutes, room) },
          { place: 'room', celsius: room },
        ],
      },
    )
  it('is said, in this room and in one of 40 °C', () => {
    const [place] = heatOf(
      look([hold, ...[0, 5, 10, 15, 20, 25, 30, 40].map((m) => felt(m))]).log,
      look([hold]).analysis,
    )
    expect(place?.settles?.x.value).toBeCloseTo(68, 4)
    expect(place?.inHotRoom).toBeCloseTo(86, 4)
    // 46 K with 14 min: under 1 K in a quarter of an hour from 54 min on.
    expect(place?.sentence).toContain('It will have settled after 55 min.')
  })
  it('of a hold until it settles is told when that is, not before and not once it ended', () => {
    const open = logEntry({ what: 'rated hold', watts: 1400 })
    const at = (minutes: number, looks: readonly number[], more: readonly Entry[] = []) => {
      const { log, analysis } = look([
        open,
        ...looks.map((m) =>
          checkIn(open, m, { P_C: 1400 }, { temperatures: [{ place: 'case', celsius: warm(m) }] }),
        ),
        ...more,
      ])
      return reachedOf(log, heatOf(log, analysis), minutes * 60)
    }
    const looks = [0, 5, 10, 15, 20, 25, 30, 40]
    expect(at(50, looks)).toBeUndefined()
    expect(at(57, looks)).toMatchObject({ what: 'settled', sentence: expect.stringContaining('once more') })
    expect(at(61, [...looks, 60])).toMatchObject({ sentence: 'It has settled: the hold may end.' })
    // Too little was watched to know the curve, or nobody felt it.
    expect(at(90, [0, 5])).toBeUndefined()
    expect(at(90, [])).toBeUndefined()
    expect(at(90, looks, [checkIn(open, 80, {}, { ended: 'by hand' })])).toBeUndefined()
  })
  it('of a hold for a time is up when that is', () => {
    const timed = logEntry({ what: 'tier hold', watts: 1400, planned: 600 })
    const { log } = look([timed])
    expect(reachedOf(log, [], 599)).toBeUndefined()
    expect(reachedOf(log, [], 600)).toEqual({ what: 'time is up', at: 600, sentence: 'Its 10 min are up.' })
    // A run-down without a time goes on to its end.
    expect(reachedOf(look([logEntry({ what: 'run-down' })]).log, [], 1e6)).toBeUndefined()
  })
  it('is above the room, reading by reading, while the room moves; and that is noticed', () => {
    const entries = [hold, ...[0, 5, 10, 15, 20, 25, 30, 40].map((m) => felt(m, 20 + m / 8))]
    const { log, analysis } = look(entries)
    expect(heatOf(log, analysis)[0]?.settles?.x.value).toBeCloseTo(25 + 46, 1)
    expect(notice(analysis).some(({ number }) => number === 33)).toBe(true)
  })
  it('is a range under 1.5 τ, and not said where a fan turned it', () => {
    const short = look([hold, ...[0, 3, 6, 9, 12, 15].map((m) => felt(m))])
    expect(heatOf(short.log, short.analysis)[0]?.settles).toBeUndefined()
    expect(heatOf(short.log, short.analysis)[0]?.sentence).toContain('it was still rising')
    const fan = [30, 41, 43, 39, 38, 37.5, 37.4, 37.3].map((celsius, i) =>
      checkIn(
        hold,
        i * 10,
        { P_C: 900 },
        {
          temperatures: [
            { place: 'case', celsius },
            { place: 'room', celsius: 22 },
          ],
        },
      ),
    )
    const turned = look([hold, ...fan])
    expect(heatOf(turned.log, turned.analysis)[0]?.sentence).not.toContain('would settle')
  })
  it('is carried back to the moment of switching off, from how it cools', () => {
    const cooling = [2, 4, 6, 9].map((m) =>
      checkIn(
        hold,
        60 + m,
        {},
        {
          temperatures: [
            { place: 'case', celsius: 22 + 40 * Math.exp(-m / 12) },
            { place: 'room', celsius: 22 },
          ],
        },
      ),
    )
    const { log, analysis } = look([
      hold,
      felt(0),
      felt(30),
      checkIn(hold, 60, { P_C: 1400 }, { ended: 'time was up' }),
      ...cooling,
    ])
    expect(heatOf(log, analysis)[0]?.atSwitchOff).toBeCloseTo(62, 1)
  })
  it('a promise of a case is judged by where it settles, and not shown while it rises', () => {
    const unit = stationOf([
      claim({ quantity: 'case temperature', comparator: 'at most', value: 65, unit: '°C' }),
    ])
    const long = look([hold, ...[0, 5, 10, 15, 20, 25, 30, 40].map((m) => felt(m))], { unit })
    expect(long.view.findings[0]?.standing.outcome).toBe('not met')
    expect(look([hold, felt(0), felt(5)], { unit }).view.findings[0]?.standing.outcome).toBe('not shown')
  })
  it('is shown by a hold of its rated load, whatever lighter ones did, and broken by none over it', () => {
    const heldAt = (n: number, watts: number, rise: number) => {
      const log = logEntry({ what: 'rated hold', watts }, n)
      return [
        log,
        ...[0, 5, 10, 15, 20, 25, 30, 40].map((minutes) =>
          checkIn(
            log,
            minutes,
            { P_C: watts },
            {
              temperatures: [
                { place: 'case', celsius: 22 + rise * (1 - Math.exp(-minutes / 14)) },
                { place: 'room', celsius: 22 },
              ],
            },
          ),
        ),
      ]
    }
    const told = (...entries: Entry[]) =>
      look(entries, {
        unit: stationOf([
          claim({ quantity: 'case temperature', comparator: 'at most', value: 65, unit: '°C' }),
          claim({ id: uuid(99), quantity: 'continuous power', value: 1400, unit: 'W' }),
        ]),
      }).view.findings[0]?.standing
    const light = heldAt(1, 300, 30)
    expect(told(...light)).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    expect(told(...light)?.sentence).toContain('That was with 300 W of 1400 W.')
    expect(told(...heldAt(2, 1380, 25))?.outcome).toBe('met')
    expect(told(...light, ...heldAt(2, 1380, 25))?.outcome).toBe('met')
    expect(told(...heldAt(3, 1800, 60))).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    expect(told(...heldAt(3, 1800, 60), ...heldAt(2, 1380, 25))?.outcome).toBe('met')
    expect(told(...heldAt(2, 1380, 60))?.outcome).toBe('not met')
    expect(told(...heldAt(1, 300, 60))?.outcome).toBe('not met')
  })
  it('is held against a promise for a room by what the log says of the room', () => {
    const told = (value: number, room: number) =>
      look([hold, ...[0, 5, 10, 15, 20, 25, 30, 40].map((m) => felt(m))], {
        unit: stationOf([
          claim({ quantity: 'case temperature', comparator: 'at most', value, unit: '°C', room }),
        ]),
      }).view.findings[0]?.standing
    expect(told(80, 23)?.outcome).toBe('met')
    expect(told(80, 40)?.sentence).toContain('a room of 40 °C, and the room had 22.0 °C')
    expect(told(60, 20)?.outcome).toBe('not met')
    expect(told(60, 15)?.sentence).toContain('a room of 15 °C, and the room had 22.0 °C')
  })
})

describe('fan and derating', () => {
  it('tells when a fan started, and when it only ran already', () => {
    const hold = logEntry({ what: 'rated hold' })
    const at = (minutes: number, fan: 'on' | 'off') => checkIn(hold, minutes, { P_C: 500 }, { fan })
    expect(fanOf(look([hold, at(1, 'off'), at(8, 'on'), at(20, 'off'), at(24, 'on')]).log)).toMatchObject({
      seenToStart: true,
      starts: 480,
      cycle: 960,
    })
    expect(fanOf(look([hold, at(1, 'on')]).log)?.seenToStart).toBe(false)
    expect(fanOf(look([hold, at(1, 'off')]).log)).toBeUndefined()
  })
  it('is a fall of watts while the resistance of the load stays', () => {
    const point = (at: number, P: number, V: number) =>
      [
        { at, value: P },
        { at, value: V },
      ] as const
    const series = (rows: readonly (readonly [number, number, number])[]) => {
      const pairs = rows.map((row) => point(...row))
      return {
        series: [
          { quantity: 'P_C', points: pairs.map(([p]) => p) },
          { quantity: 'V_C', points: pairs.map(([, v]) => v) },
        ],
      } as unknown as Pick<Log, 'series'>
    }
    const R = 230 ** 2 / 1000
    expect(
      deratesFrom(
        series([
          [0, 1000, 230],
          [60, 1000, 230],
          [120, 220 ** 2 / R, 220],
          [180, 215 ** 2 / R, 215],
        ]),
      ),
    ).toMatchObject({ at: 120, from: 1000 })
    // The load itself took less.
    expect(
      deratesFrom(
        series([
          [0, 1000, 230],
          [60, 900, 230],
          [120, 850, 230],
          [180, 800, 230],
        ]),
      ),
    ).toBeUndefined()
  })
})

describe('how long it works over its rated power', () => {
  const promise = claim({ quantity: 'overload time', value: 60, unit: 's', load: 1800 })
  let tried = 0
  const raised = (watts: number, lasted: number, ended: LimitOf<'overload'>['ended']): Entry => ({
    id: uuid(950 + ++tried),
    revision: 1,
    at: new Date(Date.UTC(2026, 3, 14, 8, tried)).toISOString(),
    kind: 'limit',
    reading: { test: 'overload', how: 'raised', load: 'heaters', watts, lasted, ended },
  })
  const told = (entries: readonly Entry[], patch: Partial<Claim> = {}) =>
    look(entries, {
      unit: stationOf([{ ...promise, ...patch }]),
      rig: rigOf({ assignments: [{ quantity: 'P_C', meter: meter.id }] }),
    }).view.findings[0]?.standing
  it('is met by as much for as long, or more for longer', () => {
    expect(told([raised(1850, 60, 'stopped by hand')])?.outcome).toBe('met')
    expect(told([raised(1900, 90, 'overload')])?.outcome).toBe('met')
  })
  it('is not met where it gives up at it too soon', () => {
    expect(told([raised(1800, 20, 'overload')])).toMatchObject({ outcome: 'not met, within uncertainty' })
    expect(told([raised(1790, 20, 'heat')])?.sentence).toContain('by heat after 20 s of 1 min')
    // A trial that was stopped by hand does not hide the one that gave up.
    expect(told([raised(1810, 30, 'stopped by hand'), raised(1700, 20, 'overload')])?.outcome).toBe('not met')
  })
  it('is not broken by what it was never promised for: far more watts, a fuse, a weak supply, the tester', () => {
    expect(told([raised(2600, 1, 'overload')])?.outcome).toBe('not shown')
    expect(told([raised(1800, 20, 'fuse')])).toMatchObject({ outcome: 'not shown', limiter: 'protection' })
    expect(told([raised(1800, 20, 'low input')])).toMatchObject({ outcome: 'not shown', limiter: 'supply' })
    expect(told([raised(1800, 20, 'stopped by hand')])).toMatchObject({
      outcome: 'not shown',
      limiter: 'time',
    })
    const light = told([raised(1200, 300, 'stopped by hand')])
    expect(light).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    expect(light?.wouldShow).toBe('A load of 1800 W would show it.')
  })
  it('is not tested without a load, promised or tried', () => {
    expect(told([])?.outcome).toBe('not tested')
    expect(told([raised(1850, 60, 'carried')], { load: undefined })?.outcome).toBe('not tested')
  })
})

describe('noise', () => {
  it('is corrected for its background, and not told from it under 3 dB', () => {
    expect(withoutBackground(52.4, 45.1)).toBeCloseTo(51.5, 1)
    expect(withoutBackground(47, 45.1)).toBeUndefined()
    // 3 dB as they are typed, and a tenth less.
    expect(withoutBackground(33.3, 30.3)).toBeCloseTo(30.279, 3)
    expect(withoutBackground(33.2, 30.3)).toBeUndefined()
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 90, noNaN: true }),
        fc.double({ min: 3, max: 40, noNaN: true }),
        (B, over) => {
          const left = withoutBackground(B + over, B) ?? NaN
          expect(10 * Math.log10(10 ** (left / 10) + 10 ** (B / 10))).toBeCloseTo(B + over, 8)
        },
      ),
    )
  })
  const at1m = { level: 52, background: 40, distance: 1, fan: 'on', meter: uuid(1) } as const
  const read = (...readings: EntryOf<'noise'>['reading'][]): EntryOf<'noise'>[] =>
    readings.map((reading, i) => ({
      id: uuid(900 + i),
      revision: 1,
      at: `2026-04-14T09:0${i}:00.000Z`,
      kind: 'noise',
      reading,
    }))
  const told = (value: number, readings: EntryOf<'noise'>['reading'][], patch: Partial<Claim> = {}) =>
    look(read(...readings), {
      meters: [{ ...meter, ranges: [...meter.ranges, rangeOf('sound level', 130, 0, 5, 0.1)] }],
      unit: stationOf([
        claim({ quantity: 'noise', comparator: 'at most', value, unit: 'dB(A)', ...patch }),
        claim({ quantity: 'continuous power', value: 1500, unit: 'W' }),
      ]),
    }).view.findings[0]?.standing
  it('of a load that is not silent breaks no promise, and one of no meter decides nothing', () => {
    expect(told(45, [{ ...at1m, silent: true }])?.outcome).toBe('not met')
    // It may be the load: that breaks no promise, and is kept all the same where all of it is under it.
    expect(told(45, [{ ...at1m, silent: false }])).toMatchObject({ outcome: 'not shown', code: 'loud load' })
    expect(told(60, [{ ...at1m, silent: false }])?.outcome).toBe('met')
    const unnamed = { level: 52, background: 40, distance: 1, fan: 'on' } as const
    expect(told(45, [unnamed])).toMatchObject({ outcome: 'not tested', code: 'refused' })
    expect(noisesOf(look(read(at1m)).analysis)[0]?.sentence).toContain('51.7 dB(A) at 1 m')
  })
  it('breaks no promise by what was read nearer than 1 m, and shows none by what was read farther', () => {
    const [near, far] = [0.3, 3].map((distance) => ({ ...at1m, distance }))
    expect(near && told(45, [near])?.sentence).toContain('at 0.3 m. A level is promised for 1 m')
    expect(near && told(60, [near])?.outcome).toBe('met')
    expect(far && told(60, [far])).toMatchObject({ outcome: 'not shown', wouldShow: 'Read it at 1 m.' })
    expect(far && told(45, [far])?.outcome).toBe('not met')
    // Both ways at once: the one at 1 m tells.
    expect(near && told(55, [{ ...near, level: 60 }, at1m])?.outcome).toBe('met')
  })
  it('breaks none by a room that nobody read, but may still be under it with the room', () => {
    const open = { level: 52, distance: 1, fan: 'on', meter: uuid(1) } as const
    expect(told(45, [open])?.wouldShow).toBe('Read the background with the unit off, and note it.')
    expect(told(60, [open])?.outcome).toBe('met')
    // One that does not tell hides none that does.
    expect(told(50, [open, { ...at1m, level: 48 }])?.outcome).toBe('met')
  })
  it('shows none by a silent fan at no load', () => {
    const idle = { level: 35, background: 25, distance: 1, meter: uuid(1) } as const
    for (const quiet of [idle, { ...idle, fan: 'off', watts: 100 } as const])
      expect(told(45, [quiet])?.wouldShow).toContain('with its fan running, or at its rated load')
    expect(told(45, [{ ...idle, fan: 'off', watts: 1450 }])?.outcome).toBe('met')
    // So near it is quiet all the same: what is missing is the fan.
    expect(told(45, [{ ...idle, distance: 0.3 }])?.wouldShow).toContain('with its fan running')
    // Promised at a load: at that, not over it, and not without.
    const at = (watts: number, level: number) => told(45, [{ ...at1m, level, watts }], { load: 600 })
    expect(at(590, 44)?.outcome).toBe('met')
    expect(at(590, 52)?.outcome).toBe('not met')
    expect(at(100, 44)?.sentence).toContain('No note says that it carried 600 W')
    expect(at(1400, 52)?.sentence).toContain('It carried more than 600 W')
    expect(told(45, [at1m], { load: 600 })?.sentence).toContain('No note says that it carried no more')
  })
  it('is drawn over the time of a log: what was read meanwhile, and told from the room', () => {
    const hold = logEntry({ what: 'rated hold', watts: 1400 })
    const begun = Date.parse(hold.at)
    const heard = (n: number, minutes: number, level: number, silent = true): EntryOf<'noise'> => ({
      id: uuid(900 + n),
      revision: 1,
      at: new Date(begun + minutes * 60_000).toISOString(),
      kind: 'noise',
      reading: { level, background: 40, distance: 1, silent },
    })
    const { log, analysis } = look([
      hold,
      checkIn(hold, 30, { P_C: 1400 }),
      heard(1, 20, 60),
      heard(2, 5, 50.4),
      heard(3, 10, 42), // Not told from the room.
      heard(4, 12, 70, false), // Its load was the noise.
      heard(5, -5, 60), // Before it began, and after its last reading.
      heard(6, 45, 60),
    ])
    const points = noiseDuring(log, analysis)
    expect(points.map(({ at }) => at)).toEqual([300, 1200])
    expect(points[0]?.value).toBeCloseTo(50, 1)
  })
})

describe('batteries of a bank', () => {
  const bank = parallelOf([0.0038, 0.0038, 0.0038, 0.0038])
  const rig = {
    rig: rigOf({
      bank: { ...bank, join: { ...bank.join, positiveAt: 0, negativeAt: 0 } as typeof bank.join },
    }),
    unit: unitOf(),
  }
  const ids = bank.strings.flat().map(({ id }) => id)
  const log = logEntry({ what: 'run-down' })
  const amps = (
    minutes: number,
    each: readonly number[],
    more: Partial<EntryOf<'check-in'>['reading']> = {},
  ) =>
    checkIn(
      log,
      minutes,
      { I: each.reduce((a, b) => a + b, 0) },
      { batteries: ids.map((battery, i) => ({ battery, amps: each[i] })), ...more },
    )
  it('are held against what the network has at the take-off that is used', () => {
    const { log: found, analysis } = look([log, amps(0, [47.6, 31.5, 22.5, 18.4])], rig)
    const shares = batteriesIn(found, analysis)?.strings ?? []
    for (const { read, predicted } of shares)
      expect(Math.abs((read ?? 0) - (predicted ?? 1))).toBeLessThan(0.002)
    expect(firstEmpty(analysis, 120)?.name).toBe(bank.strings[0]?.[0]?.name)
  })
  it('end by the first one that gives nothing any more', () => {
    const { log: found, analysis } = look(
      [log, amps(0, [47.6, 31.5, 22.5, 18.4]), amps(60, [0.1, 50, 38, 32])],
      rig,
    )
    expect(batteriesIn(found, analysis)?.first?.sentence).toMatch(
      /gave nothing any more while the others carried 120 A/,
    )
  })
  it('or by its own app, or its volts', () => {
    const charges = (shares: readonly number[]) =>
      checkIn(log, 30, { I: 100 }, { batteries: ids.map((battery, i) => ({ battery, charge: shares[i] })) })
    const one = look([log, charges([0.4, 0.6, 0.61, 0.62])], rig)
    expect(batteriesIn(one.log, one.analysis)?.first?.name).toBe(bank.strings[0]?.[0]?.name)
    const even = look([log, charges([0.6, 0.62, 0.6, 0.61])], rig)
    expect(batteriesIn(even.log, even.analysis)?.first).toBeUndefined()
  })
})

describe('what a log notices', () => {
  const odd = (entries: readonly Entry[], revision: Partial<Revision> = {}) =>
    notice(look(entries, revision).analysis).map(({ number }) => number)
  it('is a charger on during a run-down, and a load on during a charge', () => {
    const support = { kind: 'charger' as const, name: 'Charger', current: 10, ownUse: 0 }
    expect(odd(runDown(), { rig: rigOf({ support }), unit: unitOf() })).toContain(38)
    expect(odd(runDown(), { unit: unitOf() })).not.toContain(38)
    const charge = logEntry({ what: 'charge', source: 'wall' })
    expect(odd([charge, checkIn(charge, 0, { P_wall: 200, P_C: 50 })])).toContain(38)
  })
  it('is a counter at the outlet that went dark with it', () => {
    const dark = [
      slow,
      checkIn(slow, 0, { E_C: 0, P_C: 300 }),
      checkIn(slow, 100, { E_C: 500, P_C: 300 }),
      checkIn(slow, 120, {}, { ended: 'BMS' }),
    ]
    expect(odd(dark)).toContain(35)
  })
  it('is a gap, but no even rhythm', () => {
    const at = (minutes: readonly number[]) => [slow, ...minutes.map((m) => checkIn(slow, m, { P_C: 300 }))]
    expect(odd(at([0, 10, 20, 30, 40, 120, 130, 140]))).toContain(34)
    expect(odd(at([0, 30, 60, 90, 120]))).not.toContain(34)
  })
  it('has the series that holds most of a quantity', () => {
    expect(seriesFor(look(runDown()).log, 'P_C')?.points).toHaveLength(4)
    expect(isFigure(look([slow]).log.energies.E_C.figure)).toBe(false)
  })
})
