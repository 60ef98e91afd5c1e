import fc from 'fast-check'
import { kilowattHours, slipIn, type MadeFor } from './slip'

const bench: MadeFor = {
  unit: { kind: 'inverter', inputVoltage: 12, outputVoltage: 230, outputFrequency: 50 },
  bank: { strings: [] },
  rating: 900,
}

describe('a slip of the point', () => {
  it.each([
    ['V_A', 133, 13.3],
    ['V_B', 1.28, 12.8],
    ['V_B', 12_800, 12.8],
    ['V_C', 23, 230],
    ['f', 500, 50],
    ['PF', 95, 0.95],
    ['P_C', 8500, 850],
    ['I', 714, 71.4],
  ] as const)('of %s, %d, is asked about as %d', (quantity, typed, meant) => {
    expect(slipIn(quantity, typed, bench)).toBeCloseTo(meant, 9)
  })

  it.each([
    ['V_A', 10.2],
    ['V_B', 15.9],
    ['V_C', 180],
    ['P_C', 0.4],
    ['P_C', 1800],
    ['I', 0],
    ['T', 450],
  ] as const)('is not suspected of %s at %d: that can stand', (quantity, typed) => {
    expect(slipIn(quantity, typed, bench)).toBeUndefined()
  })

  it('is not asked of what no slip explains: 24 V on a bench of 12 V is another bank', () => {
    expect(slipIn('V_A', 24.6, bench)).toBeUndefined()
  })

  it('is not asked of a power station, that has no terminals, nor of watts without a rating', () => {
    expect(slipIn('V_A', 133, { ...bench, unit: { ...bench.unit, kind: 'power station' } })).toBeUndefined()
    expect(slipIn('P_C', 1e6, { ...bench, rating: undefined })).toBeUndefined()
  })

  it('of what it takes for meant, never asks again', () => {
    const quantities = fc.constantFrom('V_A', 'V_B', 'V_C', 'f', 'PF', 'P_C', 'I', 'I_C' as const)
    fc.assert(
      fc.property(quantities, fc.double({ min: -1e5, max: 1e5, noNaN: true }), (quantity, value) => {
        const meant = slipIn(quantity, value, bench)
        if (meant !== undefined) expect(slipIn(quantity, meant, bench)).toBeUndefined()
      }),
    )
  })

  it('knows kilowatt-hours for watt-hours by what was stored', () => {
    expect(kilowattHours(0.45, 1040)).toBe(450)
    expect(kilowattHours(0.45, undefined)).toBeUndefined()
    expect(kilowattHours(12, 1040)).toBeUndefined()
    expect(kilowattHours(1.9, 1040)).toBeUndefined()
  })
})
