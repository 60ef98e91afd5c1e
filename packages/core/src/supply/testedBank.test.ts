import type { Bank, EntryOf } from '@even-watt/contract'
import { bankOf, ladderEntry, noLoadEntry, revisionOf, rigOf, trialOf, uuid } from '../../test/makers'
import { isFigure, type Derived } from '../figures'
import { expanded } from '../meters'
import { viewTrial } from '../view'

const battery = (n: number, resistance?: number): Bank['strings'][number][number] => ({
  id: uuid(700 + n),
  name: `battery ${n}`,
  chemistry: 'AGM',
  nominal: 12,
  capacity: 100,
  open: false,
  ...(resistance === undefined ? {} : { resistance }),
})
const inParallel = (...batteries: ReturnType<typeof battery>[]): Bank =>
  bankOf({
    strings: batteries.map((one) => [one]),
    join: { kind: 'busbars', leads: batteries.map(() => 0) },
  })

/** 58 A for 10 s; the sag says the resistance. */
const test = (R: number, on: { battery?: string; revision?: number } = {}): EntryOf<'load test'> => ({
  id: uuid(7000 + Math.round(1e6 * R) + (on.revision ?? 1)),
  kind: 'load test',
  revision: on.revision ?? 1,
  at: '2026-03-12T10:00:00.000Z',
  reading: {
    ...(on.battery ? { battery: on.battery } : {}),
    restVoltage: 12.7,
    loadedVoltage: 12.7 - 58 * R,
    restCurrent: 0,
    loadedCurrent: 58,
    voltmeter: uuid(1),
    ammeter: uuid(1),
  },
})

const supplyOf = (banks: readonly Bank[], entries: Parameters<typeof viewTrial>[1]) => {
  const revisions = banks.map((bank, i) => revisionOf({ number: i + 1, rig: rigOf({ bank }) }))
  const supply = viewTrial(trialOf(revisions), entries).analyses.at(-1)?.supply
  if (!supply) throw new Error('no supply')
  return supply
}
const milliohms = (R: Derived) => (isFigure(R) ? R.x.value * 1000 : R.missing)

describe('what load tests say of a bank', () => {
  const [a, b] = [battery(1), battery(2)]

  it('is the network of its batteries, each by its own test: 12 and 24 mΩ in parallel are 8', () => {
    const { tested, known } = supplyOf(
      [inParallel(a, b)],
      [test(0.012, { battery: a.id }), test(0.024, { battery: b.id })],
    )
    expect(milliohms(tested)).toBeCloseTo(8, 6)
    expect(known.R_bank).toBe(tested)
  })

  it('is the test of the whole where there is one', () => {
    const entries = [test(0.012, { battery: a.id }), test(0.024, { battery: b.id }), test(0.0091)]
    expect(milliohms(supplyOf([inParallel(a, b)], entries).tested)).toBeCloseTo(9.1, 6)
  })

  it('holds on a later rig as long as the bank is the same, and for its batteries when it is not', () => {
    const whole = test(0.0091)
    const [same, wider] = [inParallel(a, b), inParallel(a, b, battery(3, 0.008))]
    expect(milliohms(supplyOf([same, same], [whole]).tested)).toBeCloseTo(9.1, 6)
    expect(milliohms(supplyOf([same, wider], [whole]).tested)).toBe('No load test of this bank yet.')
    const each = [test(0.012, { battery: a.id }), test(0.024, { battery: b.id })]
    expect(milliohms(supplyOf([same, wider], each).tested)).toBeCloseTo(4, 6)
  })

  it('makes nothing up for a battery that was neither tested nor stated', () => {
    expect(milliohms(supplyOf([inParallel(a, b)], [test(0.012, { battery: a.id })]).tested)).toContain(
      'neither tested nor',
    )
  })

  it('carries the tests’ uncertainty by the current that each battery carries', () => {
    const one = supplyOf([inParallel(a)], [test(0.012, { battery: a.id })]).tested
    const two = supplyOf([inParallel(a, battery(4, 0.012))], [test(0.012, { battery: a.id })]).tested
    if (!isFigure(one) || !isFigure(two)) throw new Error('both are known')
    // Half the current each: a quarter of its own error, and of a stated one’s ± 20 %.
    const stated = (2 * (0.2 * 0.012)) / Math.sqrt(3) / 4
    expect(expanded(two.x)).toBeCloseTo(Math.hypot(expanded(one.x) / 4, stated), 9)
  })

  it('gives way to the ladder’s own figure', () => {
    const ladder = [5, 20, 40, 60].map((I, i) =>
      ladderEntry({ V_A: 12.7 - 0.01 * I, I, V_B: 12.6 - 0.015 * I }, { step: uuid(900 + i) }),
    )
    const { known } = supplyOf(
      [inParallel(a)],
      [test(0.012, { battery: a.id }), noLoadEntry({ V_A: 12.7, I: 0.1 }), ...ladder],
    )
    expect(milliohms(known.R_bank)).toBeCloseTo(10, 1)
  })
})
