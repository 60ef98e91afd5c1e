import type { Battery } from '@even-watt/contract'
import fc from 'fast-check'
import { bankOf, parallelOf } from '../../test/makers'
import {
  bankDeliverable,
  chargedAfter,
  chargeRate,
  deliverable,
  full,
  peukertHours,
  secondsToCharge,
} from '.'

const batteryOf = (patch: Partial<Battery> = {}): Battery => ({
  ...(bankOf().strings[0]?.[0] as Battery),
  chemistry: 'AGM',
  capacity: 110,
  peukert: 1.18,
  ...patch,
})
const strings = (...batteries: Battery[]) => bankOf({ strings: batteries.map((one) => [one]) })

describe('capacity', () => {
  it('110 Ah at 20 h, k 1.18, 38 A: 2.04 h, 77.7 Ah', () => {
    expect(peukertHours(110, 20, 1.18, 38)).toBeCloseTo(2.045, 2)
    expect(deliverable(batteryOf(), 38)).toBeCloseTo(77.7, 0)
  })

  it('is never more than stated, however small the current', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 500, noNaN: true }),
        fc.double({ min: 1, max: 1.6, noNaN: true }),
        (I, peukert) => {
          const Ah = deliverable(batteryOf({ peukert }), I) ?? NaN
          expect(Ah).toBeLessThanOrEqual(110 * (1 + 1e-12))
          expect(Ah).toBeGreaterThan(0)
          expect(deliverable(batteryOf({ peukert }), I * 2)).toBeLessThanOrEqual(Ah * (1 + 1e-12))
        },
      ),
    )
    expect(deliverable(batteryOf(), 0)).toBe(110)
    expect(peukertHours(110, 20, 1.18, 0)).toBe(Infinity)
    expect(deliverable(batteryOf({ rateHours: 5 }), 22)).toBeCloseTo(110, 9)
  })

  it('of lithium does not fall with the rate but by what its maker states', () => {
    const lithium = batteryOf({ chemistry: 'lithium iron phosphate' })
    expect(deliverable(lithium, 300)).toBe(110)
    expect(deliverable({ ...lithium, derating: 0.8 }, 10)).toBeCloseTo(88, 12)
  })

  it('two alike in parallel give at twice the current twice as much; one cut off gives nothing', () => {
    const one = bankDeliverable(strings(batteryOf()), 38) ?? NaN
    expect(bankDeliverable(strings(batteryOf(), batteryOf()), 76)).toBeCloseTo(2 * one, 9)
    expect(bankDeliverable(strings(batteryOf(), batteryOf({ open: true })), 38)).toBeCloseTo(one, 9)
    expect(bankDeliverable(strings(batteryOf({ open: true })), 38)).toBe(0)
  })

  it('of a string is that of its weakest', () => {
    const bank = bankOf({ strings: [[batteryOf(), batteryOf({ capacity: 80 })]] })
    expect(bankDeliverable(bank, 0)).toBe(80)
  })
})

describe('recharging', () => {
  const bank = parallelOf([0.01])
  const capacity = bankDeliverable(bank, 0) ?? NaN

  it('is steady up to 90 %, then tapers exponentially', () => {
    const hour = 3600 / 0.99
    expect(secondsToCharge(bank, capacity, 0.2, 0.9)).toBeCloseTo(0.7 * hour, 6)
    expect(secondsToCharge(bank, capacity, 0.9, full)).toBeCloseTo(0.1 * Math.log(10) * hour, 6)
    expect(chargeRate(bank, 10, 0.95)).toBeCloseTo(chargeRate(bank, 10, 0.5) / 2, 15)
  })

  it('takes no time when it is in already, and for ever to the very last or without current', () => {
    expect(secondsToCharge(bank, 10, 0.8, 0.8)).toBe(0)
    expect(secondsToCharge(bank, 10, 0.5, 1)).toBe(Infinity)
    expect(secondsToCharge(bank, 0, 0.5, 0.6)).toBe(Infinity)
    expect(chargedAfter(bank, 0, 0.5, 3600)).toBe(0.5)
    expect(chargeRate(strings(batteryOf({ open: true })), 10, 0.5)).toBe(0)
  })

  it('after the time it takes, it is there', () => {
    const share = fc.double({ min: 0, max: 0.985, noNaN: true })
    fc.assert(
      fc.property(share, share, fc.double({ min: 1, max: 300, noNaN: true }), (a, b, I) => {
        const [from, to] = a < b ? [a, b] : [b, a]
        expect(chargedAfter(bank, I, from, secondsToCharge(bank, I, from, to))).toBeCloseTo(to, 9)
      }),
    )
  })
})
