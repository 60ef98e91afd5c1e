import { grades, type EntryOf, type Quantity, type Value } from '@even-watt/contract'
import fc from 'fast-check'
import {
  bankOf,
  cleanLadder,
  ladderEntry,
  meterOf,
  noLoadEntry,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  unitOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { claimOf, stepOf, verdictOn, type Entries } from '../../test/verdicts'
import { isFigure } from '../figures'
import { hasFit } from '../ladder'
import { viewTrial } from '../view'
import { gateOf } from './gate'
import { rangesThatHold } from './rangeOf'
import { setAsideOf } from './setAside'

const pocket = meterOf({
  id: uuid(8),
  name: 'Pocket',
  ranges: [rangeOf('AC voltage', 600, 1, 3, 1, { response: 'average' })],
})
const plug = meterOf({
  id: uuid(7),
  name: 'Plug wattmeter',
  ranges: [
    rangeOf('active power', 3000, 1, 1, 1, { standsSteppedWave: false }),
    rangeOf('AC voltage', 300, 0.5, 1, 0.1, { response: 'true RMS', standsSteppedWave: false }),
  ],
})
const meters = [meterOf(), pocket, plug]
const on = (meter: string | undefined, value: Omit<Value, 'grade' | 'meter'>): Value => ({
  ...value,
  grade: 'measured',
  ...(meter ? { meter } : {}),
})
const regulation = { quantity: 'regulation', comparator: 'within ±', value: 3, unit: '%' } as const
const met = /^met/

describe('what must not decide', () => {
  it.each(['display', 'estimated', 'observed'] as const)('volts at the outlet that are only %s', (grade) => {
    const values: Value[] = [{ quantity: 'V_C', value: 229, grade }, ...valuesOf({ V_B: 25.6, P_C: 700 })]
    expect(verdictOn(regulation, [ladderEntry({}, { values })]).outcome).toBe('not tested')
  })

  it('volts of another bank than the one on the rig, and a start that pulled them low may', () => {
    const idle = { quantity: 'idle draw', comparator: 'at most', value: 12, unit: 'W' } as const
    const of = (V_B: number) => verdictOn(idle, [noLoadEntry({ V_B, I: 0.4 })])
    expect(of(26).outcome).toMatch(met)
    expect(of(12.8)).toMatchObject({
      outcome: 'not tested',
      sentence: expect.stringContaining('no bank of 25.6 V stands at 12.8 V') as string,
    })
    expect(of(52).outcome).toBe('not tested')
    expect(of(16).outcome).toMatch(met)
  })

  it('volts by an average-responding meter on a stepped wave, by its label or by what was seen of it', () => {
    const values = [on(pocket.id, { quantity: 'V_C', value: 226 }), ...valuesOf({ V_B: 25.6, P_C: 700 })]
    const entries = [ladderEntry({}, { values })]
    const wave = (label: 'sine' | 'stepped', also: Entries = []) =>
      verdictOn(regulation, [...entries, ...also], { meters, unit: { wave: label } })
    expect(wave('stepped')).toMatchObject({
      outcome: 'not tested',
      sentence: expect.stringContaining('responds to the average') as string,
    })
    expect(wave('sine').outcome).toMatch(met)
    expect(wave('sine', [noLoadEntry({ THD: 0.31 })]).outcome).toBe('not tested')
    // A wave that was seen to be a sine is one, whatever the label leaves open.
    expect(wave('stepped', [noLoadEntry({ THD: 0.012 })]).outcome).toMatch(met)
  })

  const watts = (value: number, meter: string | undefined, unit: Parameters<typeof verdictOn>[2] = {}) =>
    verdictOn({}, [ladderEntry({}, { held: 600, values: [on(meter, { quantity: 'P_C', value })] })], {
      meters,
      ...unit,
    })

  it('watts by a wattmeter that does not stand the wave', () => {
    expect(watts(1432, plug.id).outcome).toMatch(met)
    expect(watts(1432, plug.id, { unit: { wave: 'stepped' } }).outcome).toBe('not tested')
  })

  it('watts by no meter that is named, by one that reads none, and over its range', () => {
    expect(watts(1432, undefined).sentence).toContain('no meter is named')
    expect(watts(1432, pocket.id).sentence).toContain('does not read watts')
    expect(watts(5000, uuid(1)).sentence).toContain('over the range of 3000 W')
    for (const verdict of [watts(1432, undefined), watts(1432, pocket.id), watts(5000, uuid(1))])
      expect(verdict.outcome).toBe('not tested')
  })

  it('what cannot be below zero and is, beyond what its meter may be off', () => {
    const below = { outcome: 'not tested', sentence: expect.stringContaining('it is below zero') as string }
    expect(watts(-1432, uuid(1))).toMatchObject(below)
    const distortion = { quantity: 'THD', comparator: 'at most', value: 3, unit: '%' } as const
    const at = (THD: number) => verdictOn(distortion, [ladderEntry({ V_C: 230, P_C: 1400, THD })])
    expect(at(-0.01)).toMatchObject(below)
    // A last digit under nothing is nothing.
    expect(at(-0.001).outcome).toMatch(met)
    expect(at(0.01).outcome).toMatch(met)
  })

  it('but not amps that flow back into a panel at night, with all that was logged before', () => {
    const gate = gateOf(revisionOf({ meters }), 'sine', { readings: new Map(), meters: new Map() }, new Map())
    const back = (quantity: Quantity) =>
      gate({ quantity, value: -5, grade: 'measured', meter: uuid(1) }, 'an entry')
    expect(back('I_in')).toBeUndefined()
    expect(back('V_C')?.why).toContain('below zero')
  })

  it('an idle draw that flows out of the unit', () => {
    const claim = { quantity: 'idle draw', comparator: 'at most', value: 11, unit: 'W' } as const
    const idle = (I: number) => verdictOn(claim, [noLoadEntry({ V_B: 26.4, I })])
    expect(idle(-0.9)).toMatchObject({
      outcome: 'not tested',
      sentence: expect.stringContaining('the clamp is turned round') as string,
    })
    expect(idle(0.3).outcome).toMatch(met)
  })

  it('amps on a battery’s own cable beside a charger, or on one battery of several', () => {
    const idle = [noLoadEntry({ V_B: 26.4, I: 0.4 })]
    const claim = { quantity: 'idle draw', comparator: 'at most', value: 11, unit: 'W' } as const
    const assignments = [{ quantity: 'I', meter: uuid(1), on: uuid(30) }] as const
    const rig = (support: boolean) =>
      rigOf({
        assignments: [...assignments],
        ...(support ? { support: { kind: 'charger', current: 30 } as never } : {}),
      })
    expect(verdictOn(claim, idle, { rig: rig(false) }).outcome).toMatch(met)
    const beside = verdictOn(claim, idle, { rig: rig(true) })
    expect(beside).toMatchObject({ outcome: 'not tested' })
    expect(beside.sentence).toContain('carries the bank’s current')
  })

  it('an efficiency from the moment in which the unit tripped', () => {
    const claim = { quantity: 'efficiency', value: 92, unit: '%' } as const
    const tripped = stepOf(1380, { end: 'tripped', alarm: 'overload', held: 3 })
    expect(verdictOn(claim, [tripped]).outcome).toBe('not tested')
    // Nor does such a reading move the step that was carried before it.
    const carried = stepOf(1000)
    const ended = ladderEntry(
      { V_B: 25.6, I: 90, P_C: 1000, V_C: 180 },
      { ...carried.reading, values: valuesOf({ V_B: 25.6, I: 90, P_C: 1000, V_C: 180 }), end: 'tripped' },
    )
    const [step] = viewTrial(trialOf(), [carried, ended]).analyses[0]?.ladder.steps ?? []
    expect(step && isFigure(step.eta_unit) && step.eta_unit.x.value).toBeCloseTo(0.93, 9)
    expect(step && isFigure(step.read.V_C) && step.read.V_C.x.value).toBe(229)
  })

  it('steps that were alarmed or tripped, to a curve', () => {
    const ladder = cleanLadder([72, 352, 704])
    const worse = ladderEntry(
      { V_B: 22, I: 80, P_C: 1400 },
      { alarm: 'low voltage', end: 'alarmed', load: 'all' },
    )
    const fit = viewTrial(trialOf(), [...ladder, worse]).analyses[0]?.ladder.unitFit
    expect(fit && hasFit(fit) && fit.high).toBe(704)
  })

  it('an idle draw that was read with a load on', () => {
    const claim = { quantity: 'idle draw', comparator: 'at most', value: 11, unit: 'W' } as const
    const idle = (more: { P_C?: number; I_C?: number }) =>
      verdictOn(claim, [noLoadEntry({ V_B: 26.4, I: 2, ...more })])
    expect(idle({ P_C: 0 }).outcome).toBe('not met')
    expect(idle({ P_C: 40 })).toMatchObject({
      outcome: 'not shown',
      code: 'something connected',
    })
    expect(idle({ I_C: 0.2 }).outcome).toBe('not shown')
    // With something connected it is an upper bound: what is under a promise all the same keeps it.
    const low = verdictOn({ ...claim, value: 60 }, [noLoadEntry({ V_B: 26.4, I: 1.5, P_C: 40 })])
    expect(low).toMatchObject({ outcome: 'met', code: 'something connected' })
  })

  it('search mode, to idle: not even by its scatter', () => {
    const idle = noLoadEntry({ V_B: 26.4, I: 0.4 })
    const search = [0.1, 2.5, 0.1].map((I) => noLoadEntry({ V_B: 26.4, I }, { mode: 'search' }))
    const u = (entries: Entries) => {
      const figure = viewTrial(trialOf(), entries).analyses[0]?.noLoad.on.I_idle
      return figure && isFigure(figure) && [...figure.x.sources.values()]
    }
    expect(u([idle, ...search])).toEqual(u([idle]))
  })
})

describe('the range that a value was read on', () => {
  const two = meterOf({
    ranges: [rangeOf('DC voltage', 30, 0.1, 2, 0.01), rangeOf('DC voltage', 600, 0.1, 2, 0.1)],
  })
  const [small = '', large = ''] = two.ranges.map(({ id }) => id)
  const V_B = (value: number, range?: string) => {
    const entry = ladderEntry(
      {},
      { values: [{ ...on(two.id, { quantity: 'V_B', value }), ...(range ? { range } : {}) }] },
    )
    const step = viewTrial(trialOf([revisionOf({ meters: [two] })]), [entry]).analyses[0]?.ladder.steps[0]
    if (!step || !isFigure(step.read.V_B)) throw new Error('not read')
    return step.read.V_B
  }
  const sources = (range?: string) => [...V_B(25.6, range).x.sources.keys()].join()

  it('is the one recorded with it, else the smallest that holds it', () => {
    expect(sources()).toContain(`spec|${two.id}|${small}`)
    expect(sources(large)).toContain(`spec|${two.id}|${large}`)
    expect(V_B(35).refused).toBeUndefined()
  })

  it('must hold the value, and read the quantity', () => {
    expect(V_B(250, small).refused?.why).toBe('it is over the range of 30.0 V.')
    expect(V_B(25.6, 'of another meter').refused?.why).toContain('does not read')
  })

  it('is asked for where two hold the value', () => {
    expect(rangesThatHold(two, 'V_B', 25.6).map(({ upTo }) => upTo)).toEqual([30, 600])
    expect(rangesThatHold(two, 'V_B', -250).map(({ upTo }) => upTo)).toEqual([600])
    expect(rangesThatHold(two, 'I', 5)).toEqual([])
  })
})

describe('what was set aside', () => {
  const record = (values: Value[]) => {
    const entries = [ladderEntry({}, { values })]
    const analysis = viewTrial(trialOf([revisionOf({ meters })]), entries).analyses[0]
    if (!analysis) throw new Error('no analysis')
    return setAsideOf(analysis.record, analysis.evidence.gate)
  }

  it('does not hide what was measured beside it', () => {
    const values: Value[] = [
      { quantity: 'P_C', value: 1800, grade: 'display' },
      on(uuid(1), { quantity: 'P_C', value: 1000 }),
    ]
    const entries = [ladderEntry({}, { values, held: 600 })]
    const step = viewTrial(trialOf(), entries).analyses[0]?.ladder.steps[0]
    expect(step && isFigure(step.P_C) && step.P_C.x.value).toBe(1000)
    expect(verdictOn({}, entries)).toMatchObject({ outcome: 'not shown', limiter: 'load' })
  })

  it('is listed with why and what helps, once for each meter', () => {
    expect(
      record([
        on(uuid(1), { quantity: 'P_C', value: 5000 }),
        on(uuid(1), { quantity: 'P_C', value: 4000 }),
        { quantity: 'V_C', value: 230, grade: 'display' },
        on(uuid(1), { quantity: 'V_B', value: 25 }),
      ]).map(({ quantity, meter, why, todo }) => [quantity, meter, why, todo]),
    ).toEqual([
      ['P_C', 'All-reader', 'it is over the range of 3000 W.', 'Use a meter with a higher range.'],
      [
        'V_C',
        undefined,
        'it is the unit’s own display, which is a claim.',
        'Read it with a meter at the same tap.',
      ],
    ])
  })
})

describe('whatever was read, on whatever meter and wave', () => {
  const value = fc.record({
    quantity: fc.constantFrom('V_A', 'V_B', 'I', 'V_C', 'I_C', 'P_C', 'f', 'THD'),
    share: fc.double({ min: 0.01, max: 1.5, noNaN: true }),
    grade: fc.constantFrom(...grades),
    meter: fc.constantFrom(uuid(1), uuid(7), uuid(8), undefined),
  })
  const usual = { V_A: 26, V_B: 25.6, I: 60, V_C: 230, I_C: 6.2, P_C: 2500, f: 50, THD: 0.02 }
  const claims = [
    claimOf(),
    claimOf({ id: uuid(31), quantity: 'efficiency', value: 92, unit: '%' }),
    claimOf({ id: uuid(32), ...regulation }),
    claimOf({ id: uuid(33), quantity: 'surge power', value: 2000, duration: 2 }),
    claimOf({ id: uuid(34), quantity: 'frequency', comparator: 'within ±', value: 1, unit: 'Hz' }),
    claimOf({ id: uuid(35), quantity: 'THD', comparator: 'at most', value: 3, unit: '%' }),
    claimOf({ id: uuid(36), quantity: 'idle draw', comparator: 'at most', value: 11, unit: 'W' }),
    claimOf({ id: uuid(37), quantity: 'alarm voltage', value: 21.6, unit: 'V' }),
  ]

  it('no claim is decided by a value that the gate refuses', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(value, { minLength: 1, maxLength: 6 }), { minLength: 1, maxLength: 5 }),
        fc.constantFrom('sine', 'stepped', 'unstated'),
        fc.boolean(),
        fc.array(fc.boolean(), { maxLength: 5 }),
        (drawn, wave, several, doubts) => {
          const rig = several
            ? rigOf({
                bank: bankOf({ strings: [...bankOf().strings, ...bankOf().strings] }),
                assignments: [{ quantity: 'I', meter: uuid(1), on: uuid(30) }],
              })
            : rigOf()
          const entries = drawn.map((values, i) => {
            const read = values.map(({ quantity, share, grade, meter }): Value => ({
              quantity,
              value: usual[quantity] * share,
              grade,
              ...(meter ? { meter } : {}),
            }))
            return i % 2 ? noLoadEntry({}, { values: read }) : ladderEntry({}, { values: read, held: 900 })
          })
          const doubted = entries.filter((_, i) => doubts[i])
          const trial = trialOf([revisionOf({ rig, meters, unit: unitOf({ wave, claims }) })])
          const view = viewTrial(trial, [
            ...entries,
            ...doubted.map(({ id }, i) => doubtOf(9000 + i, { what: 'reading', entry: id })),
          ])
          const gate = view.analyses[0]?.evidence.gate
          for (const { standing } of view.findings) {
            if (standing.outcome === 'not tested' || standing.outcome === 'not shown') continue
            const quantities = new Set(inputsOf(standing.figure?.working))
            const behind = entries
              .filter(({ id }) => standing.figure?.working.entries.includes(id))
              .flatMap(({ id, reading }) =>
                reading.values.flatMap((read) => (quantities.has(read.quantity) ? [{ id, read }] : [])),
              )
            // Each quantity behind the figure has at least one value that passes, and the figure none that does not.
            expect(standing.figure?.refused).toBeUndefined()
            for (const quantity of new Set(behind.map(({ read }) => read.quantity)))
              expect(behind.some(({ id, read }) => read.quantity === quantity && !gate?.(read, id))).toBe(
                true,
              )
          }
        },
      ),
      { numRuns: 400 },
    )
  })
})

const doubtOf = (
  n: number,
  of: EntryOf<'doubt'>['of'],
  more: Partial<EntryOf<'doubt'>> = {},
): EntryOf<'doubt'> => ({
  id: uuid(n),
  kind: 'doubt',
  revision: 1,
  at: '2026-03-12T23:00:00.000Z',
  of,
  why: 'lug found loose',
  ...more,
})

describe('what is doubted', () => {
  const step = stepOf(1432)
  const outcome = (...doubts: EntryOf<'doubt'>[]) => verdictOn({}, [step, ...doubts])

  it('decides nothing, and says why: a reading, a whole rig, all of a meter', () => {
    expect(outcome().outcome).toBe('met')
    for (const what of [
      { what: 'reading', entry: step.id },
      { what: 'rig' },
      { what: 'meter', meter: uuid(1) },
    ] as const) {
      const found = outcome(doubtOf(9000, what, { check: 'thermometer says 60 °C' }))
      expect(found.outcome).toBe('not tested')
      expect(found.sentence).toContain('it is doubted: lug found loose; thermometer says 60 °C')
    }
  })

  it('of a rig goes back only: what is read after it counts, and so does another rig', () => {
    expect(outcome(doubtOf(9000, { what: 'rig' }, { at: '2020-01-01T00:00:00.000Z' })).outcome).toBe('met')
    expect(outcome(doubtOf(9000, { what: 'reading', entry: uuid(1234) })).outcome).toBe('met')
  })

  it('counts again when the doubt is taken back', () => {
    const doubt = doubtOf(9000, { what: 'meter', meter: uuid(1) })
    const back = {
      id: uuid(9001),
      kind: 'take back',
      revision: 1,
      at: '2026-03-12T23:10:00.000Z',
      entry: doubt.id,
      why: 'checked',
    } as const
    expect(verdictOn({}, [step, doubt, back]).outcome).toBe('met')
  })

  it('does not keep a step from what else was read at it', () => {
    const again = stepOf(1434, { step: step.reading.step })
    expect(verdictOn({}, [step, again, doubtOf(9000, { what: 'reading', entry: step.id })])).toMatchObject({
      outcome: 'met',
      figure: { x: { value: 1434 } },
    })
  })
})

interface Worked {
  readonly formula: string
  readonly inputs: readonly { readonly symbol: string; readonly working: Worked }[]
}

/** Names of the quantities that were read for a figure. */
const inputsOf = (working: Worked | undefined): string[] =>
  working === undefined
    ? []
    : working.inputs.length
      ? working.inputs.flatMap((input) => inputsOf(input.working))
      : [working.formula.split(' ')[0] ?? '']
