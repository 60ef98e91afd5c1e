import type { Entry, EntryOf } from '@even-watt/contract'
import {
  checkIn,
  doubtEntry,
  ladderEntry,
  logEntry,
  meterOf,
  motorEntry,
  noLoadEntry,
  rangeOf,
  revisionOf,
  rigOf,
  stationOf,
  trialOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { claimOf, onStation, stepOf, verdictOn } from '../../test/verdicts'
import { meanPower } from '../logs'
import { expanded } from '../meters'
import { startGround, willItStart } from '../limits'
import { passThroughOf } from '../modes'
import { viewTrial } from '../view'

/** Benches as a hurried tester enters them: each decided by its code, not by its words. */

const base = (id: number) => ({ id: uuid(id), revision: 1, at: '2026-03-12T14:00:00.000Z' })
const limit = (reading: EntryOf<'limit'>['reading'], id = 8800): EntryOf<'limit'> => ({
  ...base(id),
  kind: 'limit',
  reading,
})
/** A meter on each place that a typed test is read at. */
const hung = rigOf({
  assignments: (['P_C', 'V_C', 'V_B'] as const).map((quantity) => ({ quantity, meter: uuid(1) })),
})
describe('holds and logs', () => {
  const hold = logEntry({ what: 'rated hold', kind: 'element' })
  const looks = (rows: readonly (readonly [number, number])[], log = hold) =>
    rows.map(([minutes, P_C]) => checkIn(log, minutes, { V_B: 25.5, P_C, V_C: 229 }))
  const ended = (minutes: number, why: EntryOf<'check-in'>['reading']['ended'] = 'time was up') =>
    checkIn(hold, minutes, {}, { ended: why })
  const sagging = [
    [0, 1200],
    [1, 1190],
    [2, 1180],
    [3, 1170],
    [6, 720],
    [30, 705],
    [60, 700],
  ] as const

  it('are the mean over real times, never that of the looks: 743 ± 16 W', () => {
    const entries = [hold, ...looks(sagging), ended(60)]
    const [analysis] = viewTrial(trialOf(), entries).analyses
    const log = analysis?.logs[0]
    const mean = log && meanPower(log)
    expect(mean && 'x' in mean && mean.x.value).toBeCloseTo(743, 0)
    expect(mean && 'x' in mean && expanded(mean.x)).toBeGreaterThan(10)
    expect(verdictOn({ value: 1000, duration: 3600 }, entries).outcome).not.toMatch(/^met/)
  })
  it('derated in the midst carry what they came down to', () => {
    const rows = [0, 2, 4, 6, 8, 10].map((minutes) => [minutes, minutes < 5 ? 1500 : 1350] as const)
    const entries = [hold, ...looks(rows), ended(10)]
    expect(verdictOn({ value: 1400 }, entries)).toMatchObject({ outcome: 'not shown' })
    expect(verdictOn({ value: 1300 }, entries).outcome).toBe('met')
  })
  it('end with an alarm of the unit’s own', () => {
    const rows = [0, 2, 4, 6, 8, 10].map((minutes) => [minutes, 1380] as const)
    const alarmed = checkIn(hold, 5, {}, { event: 'alarm', alarm: 'overload' })
    expect(verdictOn({}, [hold, ...looks(rows), alarmed, ended(10)])).toMatchObject({ code: 'warned' })
    const heard = verdictOn({}, [hold, ...looks(rows), alarmed, ended(10)])
    expect(heard.outcome).toMatch(/^not met/)
  })
  it('lowered afterwards cost nothing', () => {
    const rows = [0, 2, 4, 6, 8, 10, 12, 14, 16].map((m) => [m, m <= 10 ? 1432 : 600] as const)
    expect(verdictOn({}, [hold, ...looks(rows), ended(16)]).outcome).toBe('met')
  })
  it('looked at seldom are not carried for a time that nobody watched', () => {
    const rows = [
      [0, 1432],
      [10, 1432],
    ] as const
    expect(verdictOn({}, [hold, ...looks(rows), ended(10)])).toMatchObject({
      outcome: 'not shown',
      code: 'not watched',
    })
  })
  it('of a worn battery say nothing of an inverter', () => {
    const run = logEntry({ what: 'run-down', full: 'charger said full', kind: 'element' })
    const rows = [0, 20, 40, 60].map((minutes) => checkIn(run, minutes, { V_B: 25, P_C: 300, V_C: 229 }))
    const found = verdictOn({ quantity: 'run time', value: 3, unit: 'h', load: 300 }, [
      run,
      ...rows,
      checkIn(run, 70, {}, { ended: 'low voltage' }),
    ])
    expect(found).toMatchObject({ outcome: 'not shown', code: 'ended by a battery', limiter: 'supply' })
  })
  it('with a counter of kWh typed as Wh decide nothing until one is doubted', () => {
    const run = logEntry({ what: 'run-down', full: 'charger said full', kind: 'element' })
    const rows = [0, 30, 60, 90, 120].map((minutes) =>
      checkIn(run, minutes, { P_C: 300, E_C: (0.3 * minutes) / 60 }),
    )
    const claim = { quantity: 'energy', value: 500, unit: 'Wh', means: 'at the outlet' } as const
    const entries = [run, ...rows, checkIn(run, 120, {}, { ended: 'BMS' })]
    expect(onStation(claim, entries)).toMatchObject({ outcome: 'not tested', code: 'refused' })
    const right = rows.map((one, i) => ({
      ...one,
      reading: { ...one.reading, values: valuesOf({ P_C: 300, E_C: 150 * i }) },
    }))
    expect(onStation(claim, [run, ...right, checkIn(run, 120, {}, { ended: 'BMS' })]).outcome).toBe('met')
  })
  it('that are doubted decide nothing, though their looks are not', () => {
    const rows = [0, 2, 4, 6, 8, 10].map((minutes) => [minutes, 1432] as const)
    const entries = [hold, ...looks(rows), ended(10)]
    expect(verdictOn({}, entries).outcome).toBe('met')
    expect(verdictOn({}, [...entries, doubtEntry({ what: 'reading', entry: hold.id })])).toMatchObject({
      outcome: 'not tested',
      code: 'refused',
    })
  })
  it('of two inputs around a recharge are no one idle draw', () => {
    const idle = { quantity: 'idle draw', comparator: 'at most', value: 11 } as const
    const found = verdictOn(idle, [noLoadEntry({ V_B: 24.4, I: 0.35 }), noLoadEntry({ V_B: 27.6, I: 0.55 })])
    expect(found.figure?.x.value).toBeCloseTo(27.6 * 0.55, 6)
  })
})

describe('power and surge', () => {
  const at = (values: Parameters<typeof valuesOf>[0], more: Partial<EntryOf<'ladder'>['reading']> = {}) =>
    ladderEntry(values, { held: 900, ...more })

  it('at 185 of 230 V is not carried, read at no load or not', () => {
    const low = at({ V_B: 25.6, I: 70, P_C: 1410, V_C: 185 })
    for (const entries of [[low], [noLoadEntry({ V_B: 26, I: 0.4, V_C: 230 }), low]])
      expect(verdictOn({}, entries)).toMatchObject({ outcome: 'not met', code: 'sagged' })
  })
  it('of more watts than volt-amperes decide nothing', () => {
    const found = verdictOn({}, [at({ V_B: 25.6, I: 63, P_C: 1450, V_C: 230, I_C: 0.63 })])
    expect(found).toMatchObject({ outcome: 'not tested', code: 'refused' })
    // Within its errors nothing is said.
    expect(verdictOn({}, [at({ V_B: 25.6, I: 63, P_C: 1450, V_C: 230, I_C: 6.3 })]).outcome).toBe('met')
  })
  it('whose watts come out without going in decide nothing, unless volts and amps bear them out', () => {
    const read = { V_B: 26.4, I: 20.5, P_C: 1420, V_C: 230 }
    expect(verdictOn({}, [at(read)])).toMatchObject({ outcome: 'not tested', code: 'refused' })
    expect(verdictOn({}, [at({ ...read, I_C: 6.17 })]).outcome).toBe('met')
  })
  it('of leg wattmeters that were exchanged decide nothing', () => {
    const unit = { phase: 'split', outputVoltage: 240 } as const
    const legs = { V_L1: 120, V_L2: 120, I_L1: 5, I_L2: 15, P_L1: 1800, P_L2: 600 }
    const each = { value: 500, eachLeg: true } as const
    expect(verdictOn(each, [at(legs)], { unit }).outcome).toBe('not tested')
    expect(verdictOn(each, [at({ ...legs, P_L1: 600, P_L2: 1800 })], { unit }).outcome).toBe('met')
  })
  it('by volts and amps of an element stand where the plug meter must not', () => {
    const plug = meterOf({
      id: uuid(71),
      ranges: [rangeOf('active power', 3000, 1, 1, 1, { standsSteppedWave: false })],
    })
    const values = [
      ...valuesOf({ V_B: 25.6, I: 60, V_C: 230, I_C: 6.2 }),
      { quantity: 'P_C' as const, value: 1300, grade: 'measured' as const, meter: plug.id },
    ]
    const found = verdictOn({}, [at({}, { values })], {
      meters: [meterOf(), plug],
      unit: { wave: 'stepped' },
    })
    expect(found).toMatchObject({ outcome: 'met, within uncertainty', code: 'carried' })
  })
  it('that trip at 1390 ± 17 W miss 1400 W within uncertainty, 88 % likely', () => {
    const found = verdictOn({}, [stepOf(1390, { end: 'tripped', alarm: 'overload', held: 20 })])
    expect(found).toMatchObject({ outcome: 'not met, within uncertainty', code: 'gave up' })
    expect(found.probability).toBeCloseTo(0.88, 1)
  })
  it('one watt short are short of watts, not of time', () => {
    const found = verdictOn({ value: 1400 }, [stepOf(1399, { held: 900 })])
    expect(found).toMatchObject({ outcome: 'not shown', code: 'wants no more', limiter: 'load' })
    const brief = verdictOn({ quantity: 'surge power', value: 1000, duration: 1 }, [stepOf(930, { held: 3 })])
    expect(brief).toMatchObject({ outcome: 'not shown', limiter: 'load' })
  })
  it('of a trip below the promise count though nobody timed it', () => {
    const trip = limit({
      test: 'overload',
      how: 'raised',
      load: 'heaters',
      watts: 1100,
      ended: 'overload',
      inputVolts: 25,
    })
    expect(verdictOn({}, [trip], { rig: hung })).toMatchObject({ outcome: 'not met', code: 'gave up' })
    const surge = verdictOn({ quantity: 'surge power', value: 2000, duration: 2 }, [trip], { rig: hung })
    expect(surge).toMatchObject({ outcome: 'not shown', code: 'time not noted' })
  })
})

describe('input at the alarm', () => {
  const cutoffSeen = limit({ test: 'threshold', which: 'cutoff', V_B: 22.5 }, 8810)
  const trip = (V_B: number) =>
    limit({
      test: 'overload',
      how: 'raised',
      load: 'heaters',
      watts: 1100,
      lasted: 20,
      ended: 'overload',
      inputVolts: V_B,
    })
  it('is one fact for findings and starts: seen, else the label’s, else assumed', () => {
    const low = verdictOn({}, [cutoffSeen, trip(22.4)], { rig: hung })
    expect(low).toMatchObject({ outcome: 'not shown', limiter: 'supply', code: 'ended by the supply' })
    const start = motorEntry({ outcome: 'tripped', lowestInput: 22.4, lasted: 5, opened: 'the unit' })
    const assignments = [{ quantity: 'V_B' as const, meter: uuid(1) }]
    const [analysis] = viewTrial(trialOf([revisionOf({ rig: rigOf({ assignments }) })]), [
      cutoffSeen,
      start,
    ]).analyses
    expect(analysis?.motors.attempts[0]?.ended?.who).toBe('supply')
    // 19 V of 24 V where nobody says where it warns.
    expect(verdictOn({}, [trip(19)], { rig: hung })).toMatchObject({
      outcome: 'not shown',
      limiter: 'supply',
    })
    expect(verdictOn({}, [trip(25)], { rig: hung }).outcome).toBe('not met')
  })
  it('spoils only what it could have caused: what was carried with a low input was carried', () => {
    expect(verdictOn({}, [stepOf(1432, { V_B: 21.9 })]).outcome).toBe('met')
    const THD = { quantity: 'THD', comparator: 'at most', value: 3, unit: '%' } as const
    const at = (V_B: number, share: number) =>
      verdictOn({ ...THD, load: 1400 }, [ladderEntry({ V_B, P_C: 1400, THD: share })])
    expect(at(21, 0.08)).toMatchObject({ outcome: 'not shown', code: 'input low' })
    expect(at(21, 0.01).outcome).toBe('met')
    expect(at(25, 0.08).outcome).toBe('not met')
  })
})

describe('the gate', () => {
  it('holds for starts: a display says no yes', () => {
    const shown = ladderEntry(
      {},
      {
        held: 5,
        values: [{ quantity: 'P_C', value: 3000, grade: 'display' }],
      },
    )
    const [analysis] = viewTrial(trialOf(), [shown]).analyses
    if (!analysis) throw new Error('no analysis')
    const load = {
      name: 'm',
      kind: 'induction motor' as const,
      volts: 230,
      loud: false,
      inrush: 5,
      settings: [{ id: uuid(1), name: '', watts: 200 }],
    }
    expect(willItStart(load, startGround(analysis)).answer).toBe('not shown')
  })
  it('holds for ports: 5 A on a range of 3 A, a doubted meter, a doubted test', () => {
    const load = (amps: number): EntryOf<'port'> => ({
      ...base(8820),
      kind: 'port',
      reading: {
        test: 'load',
        port: 'USB',
        volts: 5,
        lead: 0,
        points: [{ amps, volts: 5 }],
        meter: uuid(72),
      },
    })
    const small = meterOf({
      id: uuid(72),
      ranges: [rangeOf('DC current', 3, 1, 1, 0.01), rangeOf('DC voltage', 60, 1, 1, 0.01)],
    })
    const told = (entries: readonly Entry[], value = 2) => {
      const unit = stationOf([claimOf({ quantity: 'port', port: 'USB', value, unit: 'A' })])
      const [found] = viewTrial(trialOf([revisionOf({ unit, meters: [small] })]), entries).findings
      return found?.standing
    }
    expect(told([load(2.5)])?.outcome).toBe('met')
    expect(told([load(5)])).toMatchObject({ outcome: 'not tested', code: 'refused' })
    for (const of of [
      { what: 'meter', meter: uuid(72) } as const,
      { what: 'reading', entry: uuid(8820) } as const,
    ])
      expect(told([load(2.5), doubtEntry(of)])).toMatchObject({ outcome: 'not tested', code: 'refused' })
  })
  it('holds for times: a doubted start-up and a doubted transfer decide nothing', () => {
    const up = limit({ test: 'start-up', outcome: 'started', seen: 'watch', startUp: 2 })
    const claim = { quantity: 'start-up time', comparator: 'at most', value: 3, unit: 's' } as const
    expect(verdictOn(claim, [up]).outcome).toBe('met')
    expect(verdictOn(claim, [up, doubtEntry({ what: 'reading', entry: up.id })]).code).toBe('refused')
  })
  it('takes out one doubted step of a ladder and leaves the curve', () => {
    const steps = [100, 300, 500, 700, 900, 1200, 1400].map((P) => {
      const loss = 10 + 0.02 * P + 3e-5 * P ** 2
      return ladderEntry({ V_A: 25.9, V_B: 25.6, I: (P + loss) / 25.6, P_C: P, V_C: 230 }, { held: 600 })
    })
    const claim = { quantity: 'efficiency', value: 90, unit: '%' } as const
    const [, second] = steps
    if (!second) throw new Error('no step')
    const entries = [noLoadEntry({ V_B: 26, I: 0.39 }), ...steps]
    expect(verdictOn(claim, entries).outcome).toMatch(/^met/)
    expect(verdictOn(claim, [...entries, doubtEntry({ what: 'reading', entry: second.id })])).toMatchObject({
      code: 'at its best',
      outcome: expect.stringMatching(/^met/) as string,
    })
  })
})

describe('ports and charging', () => {
  const port = (
    reading: Partial<Extract<EntryOf<'port'>['reading'], { test: 'load' }>>,
  ): EntryOf<'port'> => ({
    ...base(8830),
    kind: 'port',
    reading: {
      test: 'load',
      port: 'USB',
      volts: 5,
      lead: 0,
      points: [
        { amps: 1, volts: 5 },
        { amps: 2, volts: 4.9 },
        { amps: 2.4, volts: 4.2 },
      ],
      meter: uuid(1),
      ...reading,
    },
  })
  const three = { quantity: 'port', port: 'USB', value: 3, unit: 'A' } as const
  it('cut off beside others, or with a low store, break no promise', () => {
    expect(onStation(three, [port({})]).outcome).toBe('not met')
    expect(onStation(three, [port({ beside: 'all other ports' })]).code).toBe('other ports loaded')
    expect(onStation(three, [port({ charge: 0.02 })]).code).toBe('store low')
  })
  it('with a cable for less are not asked to carry more', () => {
    const thin = port({ cable: 2, points: [{ amps: 2, volts: 5 }] })
    expect(onStation(three, [thin])).toMatchObject({ outcome: 'not shown', code: 'cable for less' })
  })
  it('eleven per cent low do not keep their volts', () => {
    const low = port({
      volts: 12,
      points: [
        { amps: 0.1, volts: 12 },
        { amps: 3, volts: 10.6 },
      ],
    })
    const claim = { quantity: 'port', port: 'USB', value: 12, unit: 'V' } as const
    expect(onStation(claim, [low]).outcome).toMatch(/^not met/)
  })
  it('that were soaked were loaded', () => {
    const soak = logEntry({ what: 'soak', port: 'USB' })
    const rows = [0, 6, 12, 18, 24, 30].map((m) => checkIn(soak, m, { V_port: 5, I_port: 4 }))
    expect(onStation(three, [soak, ...rows, checkIn(soak, 30, {}, { ended: 'time was up' })])).toMatchObject({
      code: 'carried',
      outcome: 'met',
    })
  })
  const charge = logEntry({ what: 'charge', source: 'wall', charge: 0 })
  const charged = (to: number, why: EntryOf<'check-in'>['reading']['ended']) => [
    charge,
    ...[0, 60, 120, 180].map((m) => checkIn(charge, m, { P_wall: 200 }, { charge: (to * m) / 200 })),
    checkIn(charge, 190, { P_wall: 2 }, { charge: to, ended: why }),
  ]
  const inFour = { quantity: 'charge time', comparator: 'at most', value: 4, unit: 'h' } as const
  it('unplugged at 60 %, ended by a BMS, or full at 80 % are not full', () => {
    expect(onStation(inFour, charged(0.6, 'by hand')).outcome).toBe('not shown')
    expect(onStation(inFour, charged(0.6, 'BMS')).outcome).toBe('not shown')
    expect(onStation(inFour, charged(0.8, 'full')).outcome).toBe('not shown')
    expect(onStation(inFour, charged(1, 'full')).outcome).toBe('met')
  })
  it('not full after longer than promised miss it', () => {
    expect(onStation({ ...inFour, value: 2 }, charged(0.6, 'by hand'))).toMatchObject({
      outcome: 'not met',
      code: 'not full yet',
    })
  })
  it('seen only at their end, or with a load on, take no less for that', () => {
    const claim = { quantity: 'charge power', value: 300, source: 'wall' } as const
    const late = logEntry({ what: 'charge', source: 'wall', charge: 0.9 })
    const rows = (log: EntryOf<'log'>, more: object = {}) => [
      log,
      ...[0, 10, 20].map((m) => checkIn(log, m, { P_wall: 200, ...more })),
    ]
    expect(onStation(claim, rows(late))).toMatchObject({ outcome: 'not shown', code: 'taper only' })
    expect(onStation(claim, rows(charge, { P_C: 100 })).code).toBe('load on while charging')
    expect(onStation(claim, rows(charge)).outcome).toBe('not met')
  })
  it('full at 80 % is not full before a run-down either', () => {
    const run = logEntry({ what: 'run-down', full: 'charger said full', charge: 0.8, kind: 'element' })
    const rows = [0, 20, 40, 60].map((m) => checkIn(run, m, { P_C: 300 }))
    const claim = { quantity: 'energy', value: 900, unit: 'Wh', means: 'at the outlet' } as const
    expect(onStation(claim, [run, ...rows, checkIn(run, 61, {}, { ended: 'BMS' })]).code).toBe('not full')
  })
  it('that pass on more than they take say where it comes from', () => {
    const entry: EntryOf<'mode'> = {
      ...base(8840),
      kind: 'mode',
      reading: { test: 'pass-through', gridWatts: 20, outletWatts: 100 },
    }
    const [analysis] = viewTrial(trialOf(), [entry]).analyses
    expect(analysis && passThroughOf(analysis.record)?.sentence).toContain('80.0 W come out of the store')
  })
})

describe('starts and needs', () => {
  const load = {
    name: 'pump',
    kind: 'induction motor' as const,
    volts: 230,
    loud: false,
    inrush: 5,
    settings: [{ id: uuid(1), name: '', watts: 370 }],
  }
  const assignments = (['V_B', 'V_C'] as const).map((quantity) => ({ quantity, meter: uuid(1) }))
  const found = (entries: readonly Entry[], meters = [meterOf()]) => {
    const revision = revisionOf({ rig: rigOf({ assignments }), meters })
    const [analysis] = viewTrial(trialOf([revision]), entries).analyses
    if (!analysis) throw new Error('no analysis')
    return willItStart(load, startGround(analysis))
  }
  const will = (...given: Parameters<typeof found>) => found(...given).answer
  const why = (entries: readonly Entry[]) => found(entries).why
  const tripped = (number: number) =>
    motorEntry({
      number,
      outcome: 'tripped',
      opened: 'the unit',
      lowestInput: 25,
      lowestOutput: 228,
      lasted: 5,
    })
  it('are no yes after three trips, nor with a soft starter', () => {
    expect(will([motorEntry({ number: 1 })])).toBe('yes')
    expect(will([tripped(1), tripped(2), tripped(3), motorEntry({ number: 4 })])).toBe('close')
    expect(will([motorEntry({ number: 1, assist: 3 })])).not.toBe('yes')
  })
  it('are yes by what was carried with its volts, in a step of no noted time or in a log, as a surge is', () => {
    const amps = { V_A: 25.9, V_B: 25.6, I: 116 }
    const plain = ladderEntry({ ...amps, P_C: 2700, V_C: 229 })
    expect(will([plain])).toBe('yes')
    const hold = logEntry({ what: 'rated hold', kind: 'element' })
    const looks = [0, 5, 10].map((m) => checkIn(hold, m, { V_B: 25.5, P_C: 2700, V_C: 229 }))
    expect(will([hold, ...looks, checkIn(hold, 10, {}, { ended: 'time was up' })])).toBe('yes')
    const over = ladderEntry({ ...amps, P_C: 9000, V_C: 229 })
    expect(why([over])).toContain('over the range')
    expect(
      why([ladderEntry({ V_B: 25.6, P_C: 560, V_C: 229 }), ladderEntry({ V_B: 25, P_C: 1500, V_C: 180 })]),
    ).toContain('only 560 VA was tried')
    // What gave up after a minute was no limit of its first second; what gave up within it was.
    const tripped = (held: number) =>
      ladderEntry({ ...amps, P_C: 1800, V_C: 229 }, { end: 'tripped', alarm: 'overload', held })
    const quick = [meterOf({ updateRate: 100 })]
    expect(will([tripped(60)], quick)).toBe('not shown')
    expect(will([tripped(0.5)], quick)).toBe('no')
    expect(will([tripped(0.5)])).toBe('not shown')
    const sagging = ladderEntry({ ...amps, P_C: 2700, V_C: 185 })
    expect(will([sagging])).not.toBe('yes')
  })
})

describe('regulation', () => {
  const claim = { quantity: 'regulation', comparator: 'within ±', value: 4, unit: '%' } as const
  const rated = { unit: { claims: [claimOf({ id: uuid(31) })] } }
  it('is not shown over all loads by one of whose watts something else says otherwise', () => {
    const read = { V_B: 25.6, P_C: 1400, V_C: 229 }
    const entries = [noLoadEntry({ V_B: 26, V_C: 231 }), ladderEntry({ V_B: 25.8, P_C: 300, V_C: 230 })]
    expect(verdictOn(claim, [...entries, ladderEntry(read)], rated).outcome).toMatch(/^met/)
    expect(verdictOn(claim, [...entries, ladderEntry({ ...read, I_C: 0.63 })], rated)).toMatchObject({
      outcome: 'not shown',
      code: 'light load',
    })
  })
})

describe('rooms', () => {
  const room = (celsius: number) => ({ temperatures: [{ place: 'room' as const, celsius }] })
  it('of 0 °C show no promise against heat, of 42 °C break none, and are said', () => {
    expect(verdictOn({}, [stepOf(1432, room(0))])).toMatchObject({ outcome: 'not shown', code: 'room cold' })
    const hot = stepOf(1300, { ...room(42), end: 'tripped', alarm: 'heat', held: 200 })
    expect(verdictOn({}, [hot])).toMatchObject({ outcome: 'not shown', code: 'room hot' })
    expect(verdictOn({}, [stepOf(1432, room(42))]).outcome).toBe('met')
    expect(verdictOn({}, [stepOf(1432, room(21))]).conditions).toContain('21.0 °C in the room')
  })
})
