import type { Course, EntryOf, Load } from '@even-watt/contract'
import fc from 'fast-check'
import { lockedRotor, machinesOf, otherEquipment, predictedInrush, sayStarted, startIn, trendsOf } from '.'
import { meterOf, motorEntry, revisionOf, rigOf, trialOf, unitOf, uuid } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { notice } from '../notice'
import { viewTrial } from '../view'

const step = 0.01
/** A course by what it did at each half cycle. */
const courseOf = (
  seconds: number,
  at: (t: number) => { V: number; I: number; P?: number; V_B?: number },
  before = 0.2,
): Course => {
  const points = Array.from({ length: Math.round((seconds + before) / step) }, (_, i) =>
    at(i * step - before),
  )
  return {
    from: 0.01,
    step,
    cycle: 0.02,
    windows: [],
    V_C: points.map(({ V }) => V),
    I_C: points.map(({ I }) => I),
    P: points.map(({ V, I, P }) => P ?? 0.7 * V * I),
    V_B: points.map(({ V_B = 26 }) => V_B),
  }
}
/** The method's start: 19.5 A at 71 % of the volts for 0.925 s, then 3.1 A. */
const start = courseOf(2, (t) =>
  t < 0 ? { V: 230, I: 0.02 } : t < 0.925 ? { V: 163.5, I: 19.5, V_B: 24.6 } : { V: 227, I: 3.1, V_B: 25.6 },
)
const seenIn = (course: Course, base?: number) => {
  const found = startIn(course, 230, base)
  if ('fault' in found) throw new Error(found.fault)
  return found
}

describe('a start in its capture', () => {
  it('has worst cycle, multiple, time to run, and the time under each share of nominal', () => {
    const seen = seenIn(start)
    expect(seen).toMatchObject({
      outcome: 'started',
      worst: 19.5,
      running: 3.1,
      lowest: 163.5,
      lowestInput: 24.6,
    })
    expect(seen.toRun).toBeCloseTo(0.925, 1)
    expect(seen.under[90]).toBeCloseTo(0.925, 1)
    expect(seen.under[80]).toBeCloseTo(0.925, 1)
    expect(seen.under[70]).toBe(0)
    expect(seen.VA).toBeCloseTo(163.5 * 19.5, 0)
  })

  it('takes what else was on out at V²', () => {
    // 400 W of elements at 230 V take 400·(184/230)² = 256 W at 184 V.
    const seen = seenIn(
      courseOf(2, (t) =>
        t < 0 ? { V: 230, I: 1.74, P: 400 } : t < 0.5 ? { V: 184, I: 12, P: 1500 } : { V: 228, I: 4, P: 800 },
      ),
    )
    expect(seen.base).toBe(400)
    expect(seen.motorWatts).toBeCloseTo(1500 - 256, 6)
  })

  it('stalls, comes late, trips, or trips and comes back', () => {
    const how = (at: (t: number) => { V: number; I: number; V_B?: number }) =>
      seenIn(courseOf(3, (t) => (t < 0 ? { V: 230, I: 0 } : at(t)))).outcome
    expect(how(() => ({ V: 200, I: 12 }))).toBe('stalled')
    expect(how((t) => (t < 1.5 ? { V: 200, I: 12 } : { V: 228, I: 2 }))).toBe('started late')
    expect(how((t) => (t < 0.5 ? { V: 200, I: 12 } : { V: 0, I: 0 }))).toBe('tripped')
    expect(how((t) => (t < 0.5 ? { V: 200, I: 12 } : t < 2 ? { V: 0, I: 0 } : { V: 230, I: 0 }))).toBe(
      'tripped and recovered',
    )
  })

  it('is refused with a sentence where there is none', () => {
    const fault = (course: Course) => (startIn(course, 230) as { fault?: string }).fault
    expect(fault(courseOf(2, (t) => (t < 0.6 ? { V: 200, I: 12 } : { V: 228, I: 3 }), 0))).toMatch(
      /begins after the start/,
    )
    expect(fault(courseOf(2, () => ({ V: 230, I: 3 })))).toMatch(/Nothing starts in it/)
    expect(fault(courseOf(2, () => ({ V: 230, I: 0 })))).toMatch(/No current flows/)
    expect(fault({ from: 0, step, cycle: 0.02, windows: [], V_B: [26, 26] })).toMatch(/no amperes/)
  })

  it('scales with the current, whatever its size', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 40, noNaN: true }), (k) => {
        const scaled = { ...start, I_C: start.I_C?.map((amps) => amps * k) ?? [] }
        const [one, other] = [seenIn(start), seenIn(scaled)]
        expect(other.worst / one.worst).toBeCloseTo(k, 9)
        expect(other.toRun).toBe(one.toRun)
      }),
    )
  })
})

describe('what a machine asks for', () => {
  const load = (patch: Partial<Load>): Load => ({
    name: 'm',
    kind: 'induction motor',
    volts: 230,
    settings: [{ id: uuid(1), name: '', watts: 370 }],
    loud: false,
    ...patch,
  })
  it('follows from its code letter: 1.5 hp, J, 230 V is 46.3 to 52.2 A', () => {
    const { from, to } = lockedRotor('J', 1.5)
    expect([from / 230, to / 230].map((amps) => Number(amps.toFixed(1)))).toEqual([46.3, 52.2])
    expect(predictedInrush(load({ nameplate: { code: 'V', horsepower: 1 } }))?.to).toBe(Infinity)
  })
  it('else from its multiple, else from what is usual, and is divided by a soft starter', () => {
    expect(predictedInrush(load({ inrush: 6, powerFactor: 0.75 }))).toMatchObject({ from: 2960, to: 2960 })
    expect(predictedInrush(load({ inrush: 6, powerFactor: 0.75, assist: 2 }))).toMatchObject({ from: 1480 })
    expect(predictedInrush(load({ nameplate: { current: 4 } }))).toMatchObject({ from: 3680, to: 7360 })
    expect(predictedInrush(load({ kind: 'element' }))).toBeUndefined()
  })
})

const claims = [claimOf({ id: uuid(31), quantity: 'alarm voltage', value: 21.6, unit: 'V' })]
const assignments = (['V_C', 'I_C', 'V_B', 'P_C'] as const).map((quantity) => ({ quantity, meter: uuid(1) }))
const trial = (rate?: number) =>
  trialOf([
    revisionOf({
      unit: unitOf({ claims }),
      rig: rigOf({ assignments }),
      meters: [meterOf(rate === undefined ? {} : { updateRate: rate })],
    }),
  ])
const tried = (reading: Partial<EntryOf<'motors'>['reading']>, rate = 3) =>
  viewTrial(trial(rate), [motorEntry({ bankBefore: 26.3, ...reading })]).analyses[0]?.motors.attempts[0]

describe('who stopped a start, from what a tester types', () => {
  it('is the breaker that was found open, whatever the lowest volts', () => {
    expect(
      tried({ outcome: 'tripped', opened: 'breaker', lowestInput: 0, lowestOutput: 0 })?.ended,
    ).toMatchObject({ who: 'protection', code: 'device opened' })
  })
  it('is the bank where the terminals fell to the alarm, even on a slow meter, with what half the resistance would keep', () => {
    const found = tried({ outcome: 'tripped', lowestInput: 20.7, lasted: 0.2 })
    expect(found?.ended?.who).toBe('supply')
    expect(found?.ended?.say().why).toContain(
      'half the resistance of bank and path it would have kept 23.5 V',
    )
  })
  it('is the unit where its output folded and the terminals stood, if the meter could see both', () => {
    const folded = { outcome: 'stalled', lowestOutput: 163, lowestInput: 24.8 } as const
    expect(tried({ ...folded, lasted: 2 })?.ended?.who).toBe('unit')
    const slow = tried({ ...folded, lasted: 0.2 })
    expect(slow?.ended).toMatchObject({ who: 'meter' })
    expect(slow?.ended?.say().why).toContain('3 times a second')
    expect(tried({ ...folded })?.ended?.who).toBe('meter')
  })
  it('is the machine where the output stood and it did not turn', () => {
    expect(tried({ outcome: 'stalled', lowestOutput: 228, lasted: 3 })?.ended?.who).toBe('machine')
  })
  it('cannot be told from nothing, and is not asked for where it started', () => {
    expect(tried({ outcome: 'tripped' })?.ended).toMatchObject({ who: 'meter' })
    expect(tried({ outcome: 'started' })?.ended).toBeUndefined()
  })
  it('is not the unit where only its outlet was read', () => {
    expect(tried({ outcome: 'tripped', lowestOutput: 160, lasted: 2 })?.ended?.who).toBe('meter')
  })
})

describe('several attempts at one machine', () => {
  it('name the bank where a lower one made the difference, and nothing where something else changed too', () => {
    const entries = [
      motorEntry({ number: 1, bankBefore: 26.4 }),
      motorEntry({ number: 2, bankBefore: 24.9, outcome: 'stalled' }),
    ]
    const of = (list: typeof entries) => trendsOf(viewTrial(trial(), list).analyses[0]?.motors.attempts ?? [])
    expect(of(entries)[0]).toMatch(
      /^Pump: with the bank at 26\.40 V it started \(attempt 1\), at 24\.90 V it stalled/,
    )
    const [one, two] = entries
    if (one && two) expect(of([one, { ...two, reading: { ...two.reading, baseLoad: 300 } }])).toEqual([])
  })
})

describe('the attempts at one machine together', () => {
  const entries = [
    motorEntry({ number: 1, lowestOutput: 212 }),
    motorEntry({ number: 2, lowestOutput: 171, outcome: 'stalled' }),
    motorEntry({ number: 3, lowestOutput: 207 }),
    motorEntry({ number: 4, outcome: 'stalled' }),
    motorEntry({ number: 5, load: 'winch' }),
  ]
  const [analysis] = viewTrial(trialOf([revisionOf()]), entries).analyses
  if (!analysis) throw new Error('No rig.')
  const [pump, winch] = machinesOf(analysis)

  it('have a rate, and are marginal where some failed', () => {
    expect(pump && sayStarted(pump)).toBe('pump, in 2 of 4 attempts (50 %): marginal')
    expect(winch && sayStarted(winch)).toBe('winch')
  })
})

describe('what is odd about starts', () => {
  const odd = (entries: readonly EntryOf<'motors'>[], on = rigOf()) => {
    const [analysis] = viewTrial(trialOf([revisionOf({ rig: on })]), entries).analyses
    return analysis ? notice(analysis).filter(({ number }) => [15, 23, 25].includes(number)) : []
  }
  const two = (a: Partial<EntryOf<'motors'>['reading']>, b: Partial<EntryOf<'motors'>['reading']>) =>
    odd([motorEntry({ number: 1, ...a }), motorEntry({ number: 2, outcome: 'stalled', ...b })])
  it('is two changes between attempts that ended differently, each named; never one', () => {
    expect(two({}, { state: 'wet', leg: 'L2' })[0]?.odd).toBe(
      'Attempt 2 ended differently from attempt 1, but its state and the leg had changed.',
    )
    expect(two({ assist: 2, bankBefore: 26.6 }, { baseLoad: 300, bankBefore: 26.2 })[0]?.odd).toContain(
      'the base load and the soft starter and the bank',
    )
    for (const one of [{ state: 'wet' }, { baseLoad: 300 }, { assist: 2 }, { leg: 'L1' as const }])
      expect(two({}, one)).toEqual([])
    // Within 1 % the bank is the same; alike ends need no cause; another machine is another matter.
    expect(two({ bankBefore: 26.6 }, { state: 'wet', bankBefore: 26.5 })).toEqual([])
    expect(two({}, { state: 'wet', leg: 'L2', outcome: 'started' })).toEqual([])
    expect(two({}, { state: 'wet', leg: 'L2', load: 'mill' })).toEqual([])
  })
  it('is a bank that surely holds too little for a surge, but not under a base load', () => {
    const low = odd([motorEntry({ bankBefore: 25.95 })])
    expect(low.map(({ number, odd: said }) => [number, said])).toEqual([
      [15, 'Attempt 1 began with the bank at 25.95 V: too low for a surge test.'],
    ])
    expect(odd([motorEntry({ bankBefore: 26.0 })])).toEqual([])
    expect(odd([motorEntry({ bankBefore: 25.95, baseLoad: 300 })])).toEqual([])
    expect(odd([motorEntry({})])).toEqual([])
  })
})

describe('other equipment on the outlet', () => {
  it('is held against the ITI curve: 71 % for 0.93 s is too long under 80 %, and no time under 70 %', () => {
    const { beyond, gone, flickers } = otherEquipment(start, 230)
    expect(beyond.map(({ share, rides }) => [share, rides])).toEqual([
      [0.8, false],
      [0.9, true],
    ])
    expect([gone, flickers]).toEqual([false, false])
  })
  it('drops out with the output, and lamps flicker where volts turn again and again', () => {
    expect(
      otherEquipment(
        courseOf(1, (t) => ({ V: t < 0.4 ? 230 : 0, I: 1 })),
        230,
      ).gone,
    ).toBe(true)
    const hunting = courseOf(2, (t) => ({ V: 230 * (1 + 0.006 * Math.sin(2 * Math.PI * 3 * t)), I: 1 }))
    expect(otherEquipment(hunting, 230)).toMatchObject({ flickers: true, beyond: [] })
  })
})
