import type { Chemistry } from '@even-watt/contract'
import { chemistries } from '@even-watt/contract'
import fc from 'fast-check'
import { bankOf } from '../../test/makers'
import { bankChargeAtRest, chargeAtRest, isTooLowToBegin } from '.'

describe('charge from rest volts', () => {
  it('is half of a flooded battery at 12.24 V, and a quarter at 12.06 V', () => {
    expect(chargeAtRest('flooded lead-acid', 12, 12.24)?.likely).toBeCloseTo(0.5, 9)
    expect(chargeAtRest('flooded lead-acid', 12, 12.06)?.likely).toBeCloseTo(0.25, 9)
    expect(chargeAtRest('flooded lead-acid', 24, 24.48)?.likely).toBeCloseTo(0.5, 9)
  })

  it('tells little of lithium iron phosphate in the middle: a third of it lies open', () => {
    const charge = chargeAtRest('lithium iron phosphate', 12.8, 13.2)
    expect((charge?.high ?? 0) - (charge?.low ?? 1)).toBeGreaterThan(0.2)
  })

  it('may be less soon after a charge, by the volts that still stand on its surface', () => {
    const [rested, fresh] = [10, 0.5].map((hours) => chargeAtRest('AGM', 12, 12.85, hours))
    expect(rested?.surface).toBe(false)
    expect(fresh?.surface).toBe(true)
    expect(fresh?.low).toBeLessThan(rested?.low ?? 0)
    expect(fresh?.high).toBe(rested?.high)
  })

  it('is not told of an unknown kind, nor of a bank of several', () => {
    expect(chargeAtRest('not known', 12, 12.5)).toBeUndefined()
    const [string = []] = bankOf().strings
    const [one] = string
    if (!one) throw new Error('A battery.')
    const mixed = bankOf({ strings: [[one], [{ ...one, chemistry: 'gel' }]] })
    expect(bankChargeAtRest(mixed, 12.5)).toBeUndefined()
  })

  it('lies between 0 and 1, in order, and rises with the volts', () => {
    const known = fc.constantFrom(...chemistries.filter((one) => one !== 'not known'))
    fc.assert(
      fc.property(
        known,
        fc.double({ min: 9, max: 15, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (kind: Chemistry, volts, more) => {
          const [a, b] = [volts, volts + more].map((v) => chargeAtRest(kind, 12, v))
          if (!a || !b) throw new Error('Known.')
          expect([0 <= a.low, a.low <= a.likely, a.likely <= a.high, a.high <= 1]).toEqual([
            true,
            true,
            true,
            true,
          ])
          expect(b.likely).toBeGreaterThanOrEqual(a.likely)
        },
      ),
    )
  })

  it('is too low to begin only where even the most it may hold is under half', () => {
    const low = (volts: number) => {
      const charge = chargeAtRest('flooded lead-acid', 12, volts)
      return charge && isTooLowToBegin(charge)
    }
    expect([low(12), low(12.22), low(12.5)]).toEqual([true, false, false])
  })
})
