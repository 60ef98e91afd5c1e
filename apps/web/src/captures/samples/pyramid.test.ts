import fc from 'fast-check'
import { Pyramid } from './pyramid'

describe('a view of many samples', () => {
  it('holds every extreme, wherever it is looked at', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1e3, max: 1e3, noNaN: true }), { minLength: 2, maxLength: 5000 }),
        fc.integer({ min: 1, max: 300 }),
        (values, slices) => {
          const { low, high } = new Pyramid(Float64Array.from(values)).look(0, values.length, slices)
          expect(Math.max(...high)).toBe(Math.max(...values))
          expect(Math.min(...low)).toBe(Math.min(...values))
        },
      ),
    )
  })
  it('shows single samples when looked at closely', () => {
    const x = Float64Array.from({ length: 1000 }, (_, i) => i)
    const { low, high } = new Pyramid(x).look(500, 510, 10)
    expect([...low]).toEqual([500, 501, 502, 503, 504, 505, 506, 507, 508, 509])
    expect(high[0]).toBe(501)
  })
})
