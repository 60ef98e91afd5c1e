import type { Claim } from '@even-watt/contract'
import fc from 'fast-check'
import { noLoadEntry, uuid, valuesOf } from '../../../test/makers'
import { claimOf, stepOf, verdictOn, type Entries } from '../../../test/verdicts'

const rated = claimOf({ id: uuid(99), value: 1500 })
const told = (patch: Partial<Claim>, entries: Entries) =>
  verdictOn(patch, entries, { unit: { claims: [rated] } })

/** A step with its own output volts and THD. */
const out = (watts: number, V_C: number, THD: number, more: Parameters<typeof stepOf>[1] = {}) => {
  const step = stepOf(watts, more)
  const values = valuesOf({ V_B: 25.6, I: watts / 23, P_C: watts, V_C, THD })
  return { ...step, reading: { ...step.reading, values } }
}
const noLoad = noLoadEntry({ V_B: 26.4, I: 0.394, V_C: 231.4, f: 50, THD: 0.011 })

const overLoads: [string, Partial<Claim>][] = [
  ['regulation', { quantity: 'regulation', comparator: 'within ±', value: 3, unit: '%' }],
  ['output volts', { quantity: 'output voltage', comparator: 'within ±', value: 3, unit: '%' }],
  ['volts at least', { quantity: 'output voltage', comparator: 'at least', value: 223, unit: 'V' }],
  ['distortion', { quantity: 'THD', comparator: 'at most', value: 3, unit: '%' }],
]

describe.each(overLoads)('a promise of %s over the loads', (_name, claim) => {
  it('is shown only with nearly all that it is rated for, or is promised at', () => {
    expect(told(claim, [noLoad, out(300, 230, 0.012)])).toMatchObject({
      outcome: 'not shown',
      limiter: 'load',
      wouldShow: 'Read it at 1500 W.',
    })
    expect(told(claim, [out(300, 230, 0.012)]).sentence).toContain('went up to 300 W of 1500 W')
    expect(told(claim, [noLoad, out(300, 230, 0.012), out(1400, 228, 0.02)]).outcome).toMatch(/^met/)
    expect(told({ ...claim, load: 300 }, [noLoad, out(300, 230, 0.012)]).outcome).toMatch(/^met/)
  })
  it('is broken at any load, which is named', () => {
    const broken = told(claim, [out(300, 212, 0.05), out(1400, 229, 0.02)])
    expect(broken.outcome).toBe('not met')
    expect(broken.sentence).toMatch(/at 300 W, 300(\.0)? ± [\d.]+ W, against/)
  })
  it('is not broken with an input down to where the unit warns', () => {
    const alarm = claimOf({ id: uuid(98), quantity: 'alarm voltage', value: 21.6, unit: 'V' })
    const step = out(1400, 212, 0.05)
    const fed = (V_B: number) => ({
      ...step,
      reading: {
        ...step.reading,
        values: valuesOf({ V_B, I: 65, P_C: 1400, V_C: 212, THD: 0.05 }),
      },
    })
    const lower = fed(21.5)
    const at = (V_B: number) => verdictOn(claim, [fed(V_B)], { unit: { claims: [rated, alarm] } })
    expect(at(21.5)).toMatchObject({ outcome: 'not shown', limiter: 'supply' })
    expect(at(24).outcome).toBe('not met')
    // What broke it with a sound input is not hidden by what was worse with a low one.
    const both = verdictOn(claim, [lower, out(700, 216, 0.045)], { unit: { claims: [rated, alarm] } })
    expect(both.outcome).toBe('not met')
    expect(both.sentence).toContain('at 700 W')
  })
  it('is not held against a rating that nobody states, but against some load', () => {
    expect(verdictOn(claim, [noLoad, out(300, 230, 0.012)]).outcome).toMatch(/^met/)
  })
})

it('no order of steps, and no further step, takes back a promise that was broken', () => {
  const any = fc.record({
    watts: fc.integer({ min: 50, max: 1450 }),
    V_C: fc.integer({ min: 205, max: 245 }),
    THD: fc.integer({ min: 0, max: 60 }).map((tenths) => tenths / 1000),
  })
  const steps = fc
    .uniqueArray(any, { minLength: 2, maxLength: 5, selector: ({ watts }) => watts })
    .map((list) => list.map(({ watts, V_C, THD }) => out(watts, V_C, THD)))
  fc.assert(
    fc.property(fc.constantFrom(...overLoads), steps, ([, claim], list) => {
      const { outcome } = told(claim, list)
      expect(told(claim, list.toReversed()).outcome).toBe(outcome)
      const fewer = told(claim, list.slice(1))
      if (fewer.outcome === 'not met') expect(outcome).toBe('not met')
      // What is shown by some of them is at most broken by the others, never forgotten.
      if (fewer.outcome.startsWith('met')) expect(outcome).toMatch(/^(not )?met/)
    }),
  )
})

it('volts and distortion at no load alone show nothing under load', () => {
  for (const [, claim] of overLoads.slice(1))
    expect(told(claim, [noLoad]).sentence).toContain('It was read at no load only.')
})

it('a load of which nobody knows the watts is not all of them', () => {
  const unread = { ...out(300, 230, 0.012) }
  const values = valuesOf({ V_C: 230 })
  const step = { ...unread, reading: { ...unread.reading, kind: 'mixed' as const, values } }
  expect(
    told({ quantity: 'regulation', comparator: 'within ±', value: 3, unit: '%' }, [step]).sentence,
  ).toContain('How many watts were on is not known.')
})

describe('efficiency without a load, where no peak was seen', () => {
  const claim = { quantity: 'efficiency', value: 92, unit: '%' } as const
  const at = (watts: number, eta: number) => {
    const step = stepOf(watts)
    const values = valuesOf({ V_A: 25.9, V_B: 25.6, I: watts / eta / 25.6, P_C: watts, V_C: 229 })
    return { ...step, reading: { ...step.reading, values } }
  }
  it('is not missed by a few steps', () => {
    const few = told(claim, [at(60, 0.7), at(120, 0.8)])
    expect(few).toMatchObject({
      outcome: 'not shown',
      limiter: 'load',
      wouldShow: 'Steps from a tenth to all of 1500 W would show it.',
    })
    expect(few.sentence).toContain('So few steps')
    expect(told(claim, [at(120, 0.95)]).outcome).toMatch(/^met/)
  })
  it('is not missed while it still rises, unless that is all it is rated for', () => {
    const rising = [at(150, 0.6), at(300, 0.72), at(600, 0.8)]
    expect(told(claim, rising).sentence).toContain('the heaviest step, and with more it may be better')
    expect(told(claim, [...rising, at(1450, 0.86)]).outcome).toBe('not met')
  })
  it('is shown by nothing that cannot be, nor by the best of steps that lie on no curve', () => {
    const over = told(claim, [at(1000, 1.03)])
    expect(over.outcome).toBe('not tested')
    expect(over.sentence).toMatch(/^Efficiency does not count here: no inverter has such an efficiency/)
    expect(told(claim, [at(1000, -0.93)]).outcome).toBe('not tested')
    // Within what the meters may be off it is one that there is.
    expect(told(claim, [at(1000, 0.985)]).outcome).toBe('met')
    const others = [at(600, 0.85), at(900, 0.84), at(1450, 0.82)]
    expect(told(claim, [at(300, 1.05), ...others]).outcome).toBe('not shown')
    const off = told(claim, [at(300, 0.97), ...others])
    expect(off).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    expect(off.sentence).toContain('No curve: the readings miss it by')
    expect(told({ ...claim, load: 300 }, [at(300, 0.97), ...others])).toMatchObject({ limiter: 'meter' })
  })
  it('is not missed where it was best at a lightest step that is not light', () => {
    const falling = (from: number) => [at(from, 0.88), at(900, 0.85), at(1450, 0.8)]
    expect(told(claim, falling(600)).sentence).toContain('the lightest step, and with less it may be better')
    expect(told(claim, falling(140)).outcome).toMatch(/^not met/)
  })
})
