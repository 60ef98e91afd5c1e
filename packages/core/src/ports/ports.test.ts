import type { Claim, EntryOf, PortReading } from '@even-watt/contract'
import fc from 'fast-check'
import { meterOf, rangeOf, revisionOf, rigOf, stationOf, trialOf, uuid } from '../../test/makers'
import { notice } from '../notice'
import { viewTrial } from '../view'
import { neighbours, sharedLimit, sweepOf, sweepsOf } from '.'

const meter = meterOf({
  ranges: [rangeOf('DC voltage', 30, 0.3, 2, 0.01), rangeOf('DC current', 6, 0.5, 2, 0.01)],
})
const rig = rigOf({
  assignments: [
    { quantity: 'V_port', meter: meter.id },
    { quantity: 'I_port', meter: meter.id },
  ],
})
let made = 0
const entry = (reading: PortReading): EntryOf<'port'> => ({
  id: uuid(800 + made++),
  revision: 1,
  at: new Date(Date.UTC(2026, 3, 14, 8, made)).toISOString(),
  kind: 'port',
  reading,
})
type Load = Extract<PortReading, { test: 'load' }>
const sweep = (pairs: readonly (readonly [number, number])[], more: Partial<Load> = {}) =>
  entry({
    test: 'load',
    port: 'USB-C',
    points: pairs.map(([amps, volts]) => ({ amps, volts })),
    meter: meter.id,
    ...more,
  })
const said = (made: EntryOf<'port'>) => sweepOf({ entry: made, reading: made.reading as Load })
const look = (entries: readonly EntryOf<'port'>[], patch: Partial<Claim> = {}, on = rig) =>
  viewTrial(
    trialOf([
      revisionOf({
        unit: stationOf([
          {
            id: uuid(30),
            quantity: 'port',
            comparator: 'at least',
            value: 45,
            unit: 'W',
            port: 'USB-C',
            readWhere: 'label',
            ...patch,
          },
        ]),
        rig: on,
        meters: [meter],
      }),
    ]),
    entries,
  )
const folding = [
  [0, 20.1],
  [1, 20.0],
  [2, 19.9],
  [2.1, 19.9],
  [2.2, 16],
  [2.3, 12],
] as const

describe('a port under rising load', () => {
  it('has the drop of its lead added again: 4.71 V at 2.0 A over 90 mΩ is 4.89 V', () => {
    const { points, cableLimits, sentence } = said(
      sweep(
        [
          [0, 5.07],
          [2, 4.71],
        ],
        { volts: 5, lead: 0.09 },
      ),
    )
    expect(points[1]?.atPort).toBeCloseTo(4.89, 9)
    expect(cableLimits).toBe(true)
    expect(sentence).toContain('the cable takes all of that: 0.2 V')
  })
  it('folds back where its volts leave their tolerance, whatever the order of the readings', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...folding], { minLength: folding.length }), (pairs) => {
        expect(said(sweep(pairs, { volts: 20 })).foldsAt).toBe(2.1)
      }),
    )
  })
  it('folds back where amps no longer rise while volts fall', () => {
    expect(
      said(
        sweep(
          [
            [0, 5.1],
            [1, 5.08],
            [2.4, 5.02],
            [2.41, 4.76],
            [2.41, 4.5],
          ],
          { volts: 5 },
        ),
      ).foldsAt,
    ).toBe(2.4)
    expect(
      said(
        sweep(
          [
            [0, 5.1],
            [1, 5.0],
            [2, 4.9],
          ],
          { volts: 5 },
        ),
      ).foldsAt,
    ).toBeUndefined()
  })
  it('says how it cuts off and comes back', () => {
    expect(
      said(sweep(folding, { volts: 20, cutoff: 2.6, returned: 'by unplugging', charge: 0.12 })).sentence,
    ).toBe('USB-C folds back at 2.1 A at 12 % charge. It cuts off at 2.6 A and comes back by unplugging.')
  })
})

describe('the promise of a port', () => {
  const outcome = (entries: readonly EntryOf<'port'>[], patch: Partial<Claim> = {}) =>
    look(entries, patch).findings[0]?.standing
  it('is not met by a port that folds back under it, and met by one that carries it', () => {
    expect(outcome([sweep(folding, { volts: 20 })])?.outcome).toBe('not met')
    expect(outcome([sweep(folding, { volts: 20 })], { value: 40 })?.outcome).toBe('met')
  })
  it('says that its meter’s range is what stands in the way, not its loads, and counts nothing of it', () => {
    const asked = { unit: 'A', portVolts: 20 } as const
    const at = (amps: number, volts: number, value: number) =>
      outcome([sweep([[5, 20] as const, [amps, volts] as const], { volts: 20 })], { ...asked, value })
    const over = at(7, 19.9, 6.5)
    expect(over).toMatchObject({ outcome: 'not shown', code: 'may not decide', limiter: 'meter' })
    expect(over?.sentence).toContain('it is over the range of 6.00 A. Use a meter with a higher range.')
    expect(at(6, 19.9, 6.5)).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    expect(at(5.9, 12, 6)?.outcome).toMatch(/^not met/)
  })

  it('is never failed by loads that ended first', () => {
    expect(
      outcome([
        sweep(
          [
            [0, 20.1],
            [1, 20],
          ],
          { volts: 20 },
        ),
      ]),
    ).toMatchObject({ outcome: 'not shown', limiter: 'load' })
  })
  it('is partly shown where the cable caps it, or takes all of it', () => {
    expect(outcome([sweep(folding, { volts: 20, cable: 2 })])).toMatchObject({
      outcome: 'not shown',
      limiter: 'meter',
    })
    const thin = sweep(
      [
        [0, 5.07],
        [2, 4.71],
      ],
      { volts: 5, lead: 0.09 },
    )
    expect(outcome([thin], { value: 3, unit: 'A' })?.sentence).toMatch(
      /^Not shown: the readings cannot tell\. .* Partly shown/,
    )
    expect(notice(look([thin]).analyses[0] ?? ({} as never)).some(({ number }) => number === 37)).toBe(true)
  })
  it('is not broken by a lead of which nothing is known: only what no lead takes is the port’s', () => {
    const drooping = [
      [0, 5.1],
      [1, 4.9],
      [2, 4.7],
    ] as const
    const amps = { value: 2.4, unit: 'A' } as const
    const of = (more: Partial<Load>, patch: Partial<Claim> = amps) =>
      outcome([sweep(drooping, { volts: 5, ...more })], patch)
    expect(of({})).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    expect(of({})?.sentence).toContain('what the lead takes is not known')
    expect(of({})?.wouldShow).toContain('Note the resistance of the lead')
    expect(of({ lead: 0 })?.outcome).toBe('not met')
    expect(of({ lead: 0.2 })).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    expect(of({}, { value: 0.9, unit: 'A' })?.outcome).toBe('met')
    // Cutting off needs no volts.
    expect(of({ cutoff: 2.1 })?.outcome).toBe('not met')
    // One reading, as most have: the same, and no word of what it would carry to.
    const once = (more: Partial<Load>) => outcome([sweep([[2.4, 4.7]], { volts: 5, ...more })], amps)
    expect(once({})?.sentence).toContain(
      ' USB-C was loaded: its volts are too low where they were read, and what the lead takes is not known.',
    )
    expect(once({ lead: 0 })?.outcome).toMatch(/^not met/)
  })
  it('is not broken by what lies past it, where nothing between was tried', () => {
    const coarse = sweep(
      [
        [0, 5.1],
        [2, 5],
        [3.5, 3.9],
      ],
      { volts: 5, lead: 0 },
    )
    const promised = (value: number) => outcome([coarse], { value, unit: 'A' })
    expect(promised(1.9)?.outcome).toBe('met')
    expect(promised(3)).toMatchObject({ outcome: 'not shown', code: 'not tried closely' })
    expect(promised(3)?.sentence).toMatch(/^Not shown: it was not tried closely enough\. .* A load of 3 A/)
    expect(promised(3.5)?.outcome).toMatch(/^not met/)
    const cutAt = (cutoff: number) =>
      outcome(
        [
          sweep(
            [
              [0, 5.1],
              [2, 5],
            ],
            { volts: 5, cutoff },
          ),
        ],
        { value: 3, unit: 'A' },
      )?.outcome
    expect([cutAt(3.2), cutAt(2.5)]).toEqual(['not shown', 'not met'])
  })
  it('is judged by what counts, whatever an unnamed meter read besides', () => {
    const unnamed = sweep([[2.6, 19.9]], { volts: 20, meter: uuid(77) })
    const named = sweep([[2.4, 19.9]], { volts: 20 })
    const told = look([unnamed, named], { value: 45 }, rigOf()).findings[0]?.standing
    expect(told).toMatchObject({ outcome: 'met', figure: { grade: 'measured' } })
    expect(look([unnamed], { value: 45 }, rigOf()).findings[0]?.standing.outcome).toBe('not tested')
  })
  it('of a port that holds 5 V to its limit is never broken under that, nor met over it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.boolean(),
        fc.uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 5, max: 55 }),
        (limit, lead, known, tenths, promise) => {
          const loads = tenths.map((x) => x / 10).filter((amps) => amps <= limit)
          fc.pre(loads.length > 0)
          const pairs = loads.map((amps) => [amps, 5 - lead * amps] as const)
          const cutoff = tenths.some((x) => x / 10 > limit) ? { cutoff: limit } : {}
          const made = sweep(pairs, { volts: 5, ...(known ? { lead } : {}), ...cutoff })
          const value = promise / 10
          const told = outcome([made], { value, unit: 'A' })?.outcome
          if (value <= 0.97 * limit) expect(told).not.toMatch(/^not met/)
          if (value > 1.03 * limit) expect(told).not.toMatch(/^met/)
        },
      ),
    )
  })
  it('is of its own port and volts only', () => {
    expect(outcome([sweep(folding, { volts: 20, port: 'USB-A' })])?.outcome).toBe('not tested')
    expect(outcome([sweep(folding, { volts: 20 })], { portVolts: 9 })?.outcome).toBe('not tested')
    expect(outcome([sweep(folding, { volts: 20, port: 'usb c' })])?.outcome).toBe('not met')
  })
  it('is decided by no meter that nobody named', () => {
    const unnamed = sweep(folding, { volts: 20, meter: uuid(77) })
    expect(look([unnamed], { value: 10 }, rigOf()).findings[0]?.standing.outcome).toBe('not tested')
  })
})

describe('ports beside each other', () => {
  it('carry so much together, and share a supply where one moves the other', () => {
    const loaded = [
      { port: 'USB-C', volts: 20, amps: 1.5 },
      { port: 'USB-A', volts: 5, amps: 2 },
    ]
    const view = look([
      entry({ test: 'together', loaded, held: true }),
      entry({
        test: 'together',
        loaded: loaded.map((one) => ({ ...one, amps: 2 * one.amps })),
        held: false,
        gaveUp: 'USB-C',
      }),
      entry({ test: 'neighbour', port: 'USB-A', neighbour: 'second USB-A', before: 5.16, after: 5.04 }),
      entry({ test: 'neighbour', port: 'USB-A', neighbour: 'USB-C', before: 5.16, after: 5.155 }),
    ])
    const record = view.analyses[0]?.record
    if (!record) throw new Error('no record')
    expect(sharedLimit(record)).toMatchObject({ carried: 40, gaveUp: 80 })
    expect(neighbours(record).map(({ shared }) => shared)).toEqual([true, false])
    expect(sweepsOf(record)).toEqual([])
  })
})
