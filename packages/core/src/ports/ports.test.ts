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
const look = (entries: readonly EntryOf<'port'>[], patch: Partial<Claim> = {}) =>
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
        rig,
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
      /^Not shown: the meter cannot tell. Partly shown/,
    )
    expect(notice(look([thin]).analyses[0] ?? ({} as never)).some(({ number }) => number === 37)).toBe(true)
  })
  it('is of its own port and volts only', () => {
    expect(outcome([sweep(folding, { volts: 20, port: 'USB-A' })])?.outcome).toBe('not tested')
    expect(outcome([sweep(folding, { volts: 20 })], { portVolts: 9 })?.outcome).toBe('not tested')
    expect(outcome([sweep(folding, { volts: 20, port: 'usb c' })])?.outcome).toBe('not met')
  })
  it('is decided by no meter that nobody named', () => {
    const unnamed = sweep(folding, { volts: 20 })
    const reading: Load = { ...(unnamed.reading as Load) }
    delete reading.meter
    const view = viewTrial(
      trialOf([
        revisionOf({
          unit: stationOf([
            {
              id: uuid(30),
              quantity: 'port',
              comparator: 'at least',
              value: 10,
              unit: 'W',
              readWhere: 'label',
            },
          ]),
          rig: rigOf(),
          meters: [meter],
        }),
      ]),
      [{ ...unnamed, reading }],
    )
    expect(view.findings[0]?.standing.outcome).toBe('not tested')
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
