import type { Course, EntryOf, LimitReading } from '@even-watt/contract'
import { surgeCurveOf, willItStart, startGround, sayTest } from '.'
import { doubtEntry, meterOf, motorEntry, revisionOf, rigOf, trialOf, unitOf, uuid } from '../../test/makers'
import { claimOf, stepOf, verdictOn } from '../../test/verdicts'
import { viewTrial } from '../view'

const step = 0.01
const assignments = (['V_C', 'I_C', 'V_B', 'P_C'] as const).map((quantity) => ({ quantity, meter: uuid(1) }))
const rig = rigOf({ assignments })
const alarm = claimOf({ id: uuid(31), quantity: 'alarm voltage', value: 21.6, unit: 'V' })
let made = 900

/** An entry and a capture of it: watts over time at some volts and power factor. */
function captured(
  entry: EntryOf<'motors'> | EntryOf<'limit'>,
  watts: (t: number) => number,
  {
    volts = 228,
    V_B = 25,
    factor = 1,
    seconds = 12,
  }: { volts?: number | ((t: number) => number); V_B?: number; factor?: number; seconds?: number } = {},
): EntryOf<'capture'> {
  const before = 20
  const P = Array.from({ length: Math.round(seconds / step) }, (_, i) => watts((i + 0.5) * step))
  const pad = (value: number, of: readonly number[]) => [
    ...Array.from({ length: before }, () => value),
    ...of,
  ]
  const V = P.map((_, i) => (typeof volts === 'number' ? volts : volts((i + 0.5) * step)))
  const all = pad(0, P)
  const course: Course = {
    from: 0.01,
    step,
    cycle: 0.02,
    windows: [],
    P: all,
    V_C: pad(230, V),
    I_C: pad(
      0,
      P.map((W, i) => W / (V[i] ?? 1) / factor),
    ),
    V_B: pad(
      26.3,
      P.map(() => V_B),
    ),
  }
  // As the samples give them: sums over the watts.
  const windows = [0.1, 0.5, 1, 2, 5, 10].flatMap((T) => {
    const n = Math.round(T / step)
    if (n > all.length) return []
    let best = 0
    for (let i = 0; i + n <= all.length; i++)
      best = Math.max(best, all.slice(i, i + n).reduce((a, b) => a + b, 0) / n)
    return [{ seconds: T, W: best, lowest: Math.min(...V) }]
  })
  made += 1
  return {
    id: uuid(60_000 + made),
    revision: 1,
    at: entry.at,
    kind: 'capture',
    reading: {
      sha256: 'b'.repeat(64),
      size: 1,
      name: 'c.csv',
      type: 'text/csv',
      about: entry.id,
      instrument: { name: 'logger', percent: 2 },
      recipe: { rate: 2000, channels: [{ column: 0, quantity: 'V_C', factor: 1 }] },
      figures: {
        rate: 2000,
        samples: 1000,
        seconds: seconds + 0.2,
        uneven: false,
        aliased: false,
        cycles: 0,
        channels: [
          {
            quantity: 'V_C',
            rms: 228,
            meanAbsolute: 200,
            max: 325,
            min: -325,
            dc: 0,
            noise: 0,
            clipped: false,
          },
        ],
        course: { ...course, windows },
      },
    },
  }
}
const limit = (reading: LimitReading): EntryOf<'limit'> => {
  made += 1
  return { id: uuid(made), revision: 1, at: '2026-03-12T12:00:00.000Z', kind: 'limit', reading }
}
const overload = (patch: Partial<Extract<LimitReading, { test: 'overload' }>> = {}) =>
  limit({
    test: 'overload',
    how: 'raised',
    load: 'kettle',
    watts: 2600,
    lasted: 12,
    ended: 'overload',
    volts: 228,
    inputVolts: 25,
    ...patch,
  })
/** The method's example: 2600 W for 0.3 s, then 400 + 2200·e^(−(t − 0.3)/0.8). */
const example = (t: number) => (t < 0.3 ? 2600 : 400 + 2200 * Math.exp(-(t - 0.3) / 0.8))
const surge = (patch: object = {}) => ({ quantity: 'surge power', value: 2700, ...patch }) as const
const on = (patch: object, entries: Parameters<typeof verdictOn>[1]) =>
  verdictOn(surge(patch), entries, { rig, unit: { claims: [alarm] }, meters: [meterOf({ updateRate: 3 })] })

describe('surge power from what was captured', () => {
  it('without a time is not met at any window, each of them said', () => {
    const test = overload({ watts: 500 })
    const verdict = on({}, [test, captured(test, example)])
    expect(verdict.outcome).toBe('not met')
    expect(verdict.sentence).toContain('No time is stated')
    for (const part of ['0.1 s: 2600 W', '1 s: 2086 W', '2 s: 1505 W', '5 s: 883 W', '10 s: 642 W'])
      expect(verdict.sentence).toContain(part)
    expect(verdict.sentence).toContain('carried over none of them')
  })

  it('is met at its own time only', () => {
    const test = overload({ watts: 500 })
    const shot = captured(test, example)
    expect(on({ value: 1400, duration: 2 }, [test, shot]).outcome).toBe('met')
    expect(on({ value: 1400, duration: 5 }, [test, shot]).outcome).toBe('not met')
  })

  it('is not shown where the load wanted no more: a light start says nothing of 2700 W', () => {
    const pump = motorEntry({ outcome: 'started' })
    const light = captured(pump, (t) => (t < 0.4 ? 1100 : 240))
    expect(on({ duration: 2 }, [pump, light])).toMatchObject({ outcome: 'not shown', limiter: 'load' })
  })

  it('is not shown where the unit folded for less than the time, and then the load wanted no more', () => {
    const pump = motorEntry({ outcome: 'started' })
    const folded = (t: number) => (t < 0.6 ? 160 : 227)
    const shot = captured(pump, (t) => (t < 0.6 ? 2200 : 480), { volts: folded })
    expect(on({ duration: 2 }, [pump, shot])).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    // While it was folded its amps would have been 3162 W at its own volts: beyond what is promised.
    expect(on({ duration: 0.5 }, [pump, shot])).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    const weak = captured(pump, (t) => (t < 0.6 ? 1200 : 480), { volts: folded })
    expect(on({ duration: 0.5 }, [pump, weak]).outcome).toBe('not met')
  })

  it('is nothing from a capture whose factor cannot be right', () => {
    const test = overload({ watts: 500 })
    const shot = captured(test, () => 3000)
    const { course } = shot.reading.figures
    if (!course) throw new Error('no course')
    const withCourse = (patch: Partial<Course>) => ({
      ...shot,
      reading: { ...shot.reading, figures: { ...shot.reading.figures, course: { ...course, ...patch } } },
    })
    expect(on({ duration: 2 }, [test, shot]).outcome).toBe('met')
    const tenTimes = withCourse({ V_C: course.V_C?.map((volts) => 10 * volts) ?? [] })
    expect(on({ duration: 2 }, [test, tenTimes]).outcome).not.toBe('met')
    // 3000 W out of 25 V and 12 A in: the clamp on one side reads ten times too much, or too little.
    const moreOut = withCourse({ I: course.P?.map(() => 12) ?? [] })
    expect(on({ duration: 2 }, [test, moreOut]).outcome).not.toBe('met')
  })

  it('is the supply’s where the terminals fell, and never met with the volts under 90 %', () => {
    const winch = motorEntry({ outcome: 'tripped' })
    const low = captured(winch, (t) => (t < 2 ? 2300 : 0), { V_B: 21, volts: 228 })
    expect(on({ duration: 1 }, [winch, low])).toMatchObject({ outcome: 'not shown', limiter: 'supply' })
    const sagging = captured(winch, (t) => (t < 3 ? 3000 : 200), { volts: 190 })
    expect(on({ duration: 1 }, [winch, sagging])).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    expect(on({ duration: 1 }, [winch, sagging]).sentence).toContain('more than is promised')
  })

  it('in watts is not judged by a load of a poor power factor that filled the unit with current', () => {
    const winch = motorEntry({ outcome: 'stalled' })
    const reactive = captured(winch, () => 1900, { volts: 180, factor: 0.6 })
    expect(on({ duration: 1 }, [winch, reactive])).toMatchObject({ outcome: 'not shown', limiter: 'load' })
  })

  it('is never met by a meter that is slower than its time', () => {
    for (const lasted of [0.2, 0.5, 0.65]) {
      const verdict = on({ duration: lasted }, [overload({ watts: 2900, lasted, ended: 'carried' })])
      expect(verdict).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    }
    expect(on({ duration: 2 }, [overload({ watts: 2900, lasted: 2, ended: 'carried' })]).outcome).toBe('met')
  })
})

describe('an overload', () => {
  it('judges like a step: what the unit gave up at, and what a fuse ended', () => {
    const continuous = { value: 1400 }
    const judged = (patch: object) =>
      verdictOn(continuous, [overload({ watts: 1380, lasted: 60, ...patch })], {
        rig,
        unit: { claims: [alarm] },
      })
    expect(judged({}).outcome).toBe('not met')
    expect(judged({ ended: 'breaker' })).toMatchObject({ outcome: 'not shown', limiter: 'protection' })
    expect(judged({ ended: 'low input', inputVolts: 21.5 })).toMatchObject({
      outcome: 'not shown',
      limiter: 'supply',
    })
    expect(judged({ ended: 'not known' }).outcome).toBe('not shown')
  })

  it('on one leg is of that leg, and never of both together', () => {
    const split = { phase: 'split', outputVoltage: 240 } as const
    const legs = ['L1', 'L2'].map((leg) =>
      overload({ watts: 1900, lasted: 700, ended: 'carried', volts: 119, leg: leg as 'L1' }),
    )
    const judged = (patch: object, entries: EntryOf<'limit'>[]) =>
      verdictOn({ value: 1800, ...patch }, entries, { rig, unit: split })
    expect(judged({ eachLeg: true }, legs).outcome).toBe('met')
    expect(judged({ eachLeg: true }, legs.slice(0, 1)).outcome).toBe('not tested')
    expect(judged({}, legs).outcome).toBe('not tested')
  })

  it('says whether the base step came back as it was', () => {
    const said = (baseAfter: number) => {
      const entry = overload({ baseBefore: 230.9, baseAfter })
      const [analysis] = viewTrial(trialOf([revisionOf({ rig })]), [entry]).analyses
      return analysis ? sayTest(entry, analysis) : ''
    }
    expect(said(230.9)).toContain('as before')
    expect(said(221)).toContain('not as it was')
  })

  it('decides a trip point between what was carried and what was not, and nothing within that', () => {
    const tripped = (watts: number, how: 'raised' | 'ramp' = 'raised') => overload({ watts, how })
    const carried = (watts: number) => overload({ watts, ended: 'carried', lasted: 60 })
    const at = (
      comparator: 'at least' | 'at most',
      value: number,
      entries: EntryOf<'limit'>[],
      unit: 'W' | '%' = 'W',
    ) =>
      verdictOn({ quantity: 'overload trip', value, unit, comparator }, entries, {
        rig,
        unit: { claims: [claimOf({ id: uuid(33) })] },
      }).outcome
    const seen = [carried(1750), tripped(2100)]
    expect([at('at most', 2200, seen), at('at most', 1900, seen), at('at most', 1600, seen)]).toEqual([
      'met',
      'not shown',
      'not met',
    ])
    expect([at('at least', 2200, seen), at('at least', 1900, seen), at('at least', 1600, seen)]).toEqual([
      'not met',
      'not shown',
      'met',
    ])
    // 150 % of 1400 W.
    expect(at('at least', 150, [carried(2150), tripped(2600)], '%')).toBe('met')
    // One big heater says where it gave up at the latest; a ramp says where.
    expect([at('at least', 1900, [tripped(2600)]), at('at most', 1900, [tripped(2600)])]).toEqual([
      'not shown',
      'not shown',
    ])
    expect([
      at('at least', 1900, [tripped(2600, 'ramp')]),
      at('at most', 1900, [tripped(2600, 'ramp')]),
    ]).toEqual(['met', 'not met'])
    expect(at('at most', 1900, [carried(1750)])).toBe('not tested')
  })

  it('decides trip point, recovery and start-up, and by eye decides nothing', () => {
    const of = (
      quantity: 'overload trip' | 'recovery' | 'start-up time',
      value: number,
      unit: 'W' | '%' | 's',
      entries: EntryOf<'limit'>[],
      more = {},
    ) =>
      verdictOn({ quantity, value, unit, comparator: 'at most', ...more }, entries, {
        rig,
        unit: { claims: [claimOf({ id: uuid(33) })] },
      })
    const trip = overload({ watts: 1800, comeback: 'by itself', comebackAfter: 6 })
    expect(of('overload trip', 2100, 'W', [trip]).outcome).toBe('met')
    expect(of('recovery', 10, 's', [trip]).outcome).toBe('met')
    expect(of('recovery', 10, 's', [overload({ comeback: 'by switching off and on' })]).outcome).toBe(
      'not tested',
    )
    const byHand = overload({ comeback: 'by its reset' })
    expect(of('recovery', 10, 's', [trip, byHand]).sentence).toContain('Once it came back only by its reset.')
    const up = (seen: 'watch' | 'by eye') =>
      limit({ test: 'start-up', outcome: 'started', seen, startUp: 2.1 })
    expect(of('start-up time', 3, 's', [up('watch')]).outcome).toBe('met')
    expect(of('start-up time', 3, 's', [up('by eye')]).outcome).toBe('not tested')
  })
})

describe('a changed load', () => {
  it('is a whole sentence, whatever of it was read', () => {
    const [analysis] = viewTrial(trialOf([revisionOf({ rig })]), []).analyses
    const said = (patch: object) =>
      analysis &&
      sayTest(limit({ test: 'dynamic', from: 60, to: 1060, lamps: 'not looked at', ...patch }), analysis)
    expect(said({})).toBe('From 60 to 1060 W.')
    expect(said({ pulses: 1.2 })).toBe(
      'From 60 to 1060 W. With a load that pulsates its volts swing by 1.2 %: lamps flicker.',
    )
    expect(said({ lowest: 218, highest: 234, back: 0.12 })).toBe(
      'From 60 to 1060 W: down to 218.0 V and up to 234.0 V, steady again after 0.12 s. Tools and computers bear it. A lamp shows it as a blink.',
    )
  })
})

describe('the ground-fault button', () => {
  it('supports a sentence and decides nothing, whatever it is called', () => {
    const of = (what: string, result: 'passed' | 'failed' | 'not tried') =>
      verdictOn({ quantity: 'ground-fault test', value: 25, unit: 'ms', comparator: 'at most' }, [
        limit({ test: 'function', what, result }),
      ])
    expect(of('GFCI test button', 'passed')).toMatchObject({ outcome: 'not tested', code: 'refused' })
    expect(of('Ground-fault button', 'failed').sentence).toContain('did not open')
    expect(of('Ground-fault button', 'not tried').outcome).toBe('not tested')
    expect(of('Remote switch', 'passed').outcome).toBe('not tested')
  })
})

describe('alarm and cutoff', () => {
  it('are judged by what was seen when the input was lowered', () => {
    const seen = limit({ test: 'threshold', which: 'alarm', V_B: 21.9 })
    const at = (value: number) =>
      verdictOn({ quantity: 'alarm voltage', value, unit: 'V' }, [seen, stepOf(300)], { rig })
    expect(at(21.6).outcome).toBe('met')
    expect(at(21.6).sentence).toContain('It warns with 21.9')
  })
})

describe('will it start mine', () => {
  const machine = (watts: number) => ({
    name: 'm',
    kind: 'induction motor' as const,
    volts: 230,
    settings: [{ id: uuid(1), name: '', watts }],
    inrush: 6,
    powerFactor: 0.75,
    loud: false,
  })
  const ground = (entries: Parameters<typeof viewTrial>[1]) => {
    const [analysis] = viewTrial(
      trialOf([revisionOf({ rig, unit: unitOf({ claims: [alarm] }) })]),
      entries,
    ).analyses
    if (!analysis) throw new Error('no analysis')
    return startGround(analysis)
  }
  const test = overload({ watts: 500 })
  const shown = ground([test, captured(test, () => 2600)])

  it('yes up to what was carried, no beyond what it gave out at, close between', () => {
    expect(willItStart(machine(200), shown).answer).toBe('yes')
    expect(willItStart(machine(370), shown).answer).toBe('close')
    expect(willItStart(machine(900), shown).answer).toBe('no')
  })
  it('less beside a base load, and not shown where nothing was carried', () => {
    expect(willItStart(machine(300), shown).answer).toBe('yes')
    expect(willItStart(machine(300), shown, 900).answer).toBe('close')
    expect(willItStart(machine(200), ground([])).answer).toBe('not shown')
  })
  it('as it was tried, where it was', () => {
    const did = ground([motorEntry({ load: 'M', outcome: 'started' })])
    expect(willItStart(machine(900), did)).toMatchObject({ answer: 'yes', why: 'It started it (attempt 1).' })
    const not = ground([motorEntry({ load: 'm', outcome: 'tripped', opened: 'breaker' })])
    expect(willItStart(machine(900), not)).toMatchObject({ answer: 'no', onStiff: 'not shown' })
  })
  it('by no attempt that is doubted, and with what else stopped it said', () => {
    const [first, second] = [
      motorEntry({ load: 'm', number: 1, outcome: 'tripped', opened: 'breaker' }),
      motorEntry({ load: 'm', number: 2, outcome: 'started' }),
    ]
    expect(willItStart(machine(900), ground([first, second]))).toEqual({
      answer: 'yes',
      why: 'It started it (attempt 2); it did not in attempt 1: a protective device opened.',
    })
    const doubted = doubtEntry({ what: 'reading', entry: second.id })
    expect(willItStart(machine(900), ground([second, doubted])).answer).toBe('not shown')
  })
  it('beside no more than it was started with, and not beside what it gave out with', () => {
    const beside = (baseLoad: number, more: Partial<Parameters<typeof motorEntry>[0]> = {}) =>
      motorEntry({ load: 'm', baseLoad, ...more })
    const ran = ground([beside(300)])
    expect(willItStart(machine(900), ran, 300).answer).toBe('yes')
    expect(willItStart(machine(900), ran, 301).answer).not.toBe('yes')
    const gave = ground([
      beside(300, { outcome: 'tripped', opened: 'the unit', lowestInput: 25, lowestOutput: 228, lasted: 5 }),
    ])
    expect(willItStart(machine(200), gave, 300).answer).toBe('no')
    expect(willItStart(machine(200), gave, 299).answer).toBe('not shown')
  })
  it('draws a curve that never rises with time, from one capture', () => {
    const { points } = surgeCurveOf(shown.analysis)
    points
      .slice(1)
      .forEach((point, i) => expect(point.W.x.value).toBeLessThanOrEqual((points[i]?.W.x.value ?? 0) + 1e-6))
    expect(points.length).toBeGreaterThan(4)
  })
})
