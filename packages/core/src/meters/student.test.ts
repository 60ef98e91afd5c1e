import fc from 'fast-check'
import { add, coverage, expanded, freedomOf, probabilityUnder, repeatSource, uncertain } from '.'
import { coverageOf, studentBelow } from './student'

describe('Student’s t', () => {
  it.each([
    // Two-sided 95.45 % of the tables of JCGM 100, G.2.
    [1, 13.97],
    [2, 4.53],
    [3, 3.31],
    [5, 2.65],
    [10, 2.28],
    [20, 2.13],
    [50, 2.05],
    [100, 2.025],
  ])('with %p degrees covers by k = %p', (freedom, k) => expect(coverageOf(freedom)).toBeCloseTo(k, 2))

  it('is Cauchy’s with one degree, and normal with very many', () => {
    for (const t of [-3, -0.5, 0, 0.7, 4])
      expect(studentBelow(t, 1)).toBeCloseTo(0.5 + Math.atan(t) / Math.PI, 12)
    expect(studentBelow(1, Infinity)).toBeCloseTo(0.841345, 5)
    expect(studentBelow(-1.96, Infinity)).toBeCloseTo(0.024998, 5)
    expect(coverageOf(Infinity)).toBe(2)
  })
  it('rises with t, and its tails are each other’s mirror', () => {
    const t = fc.double({ min: -40, max: 40, noNaN: true })
    fc.assert(
      fc.property(t, t, fc.double({ min: 0.6, max: 1000, noNaN: true }), (a, b, freedom) => {
        expect(studentBelow(a, freedom) + studentBelow(-a, freedom)).toBeCloseTo(1, 10)
        if (a < b) expect(studentBelow(a, freedom)).toBeLessThanOrEqual(studentBelow(b, freedom) + 1e-12)
      }),
    )
  })
})

describe('degrees of freedom', () => {
  const repeats = (u: number, freedom: number, pool = 'p') =>
    uncertain(0, repeatSource('V', 'here', pool, freedom), u)
  it('type A of 3 readings 0.8, type B 0.5: ν 3.9, k 2.9', () => {
    const x = add(repeats(0.8, 2), uncertain(0, 'spec|m|r', 0.5))
    expect(freedomOf(x)).toBeCloseTo(3.87, 2)
    expect(coverage(x)).toBeCloseTo(2.9, 1)
    expect(expanded(x)).toBeCloseTo(coverage(x) * Math.hypot(0.8, 0.5), 9)
  })
  it('are infinite where nothing was repeated: k = 2', () => {
    expect(freedomOf(uncertain(1, 'spec|m|r', 0.5))).toBe(Infinity)
    expect(expanded(uncertain(1, 'spec|m|r', 0.5))).toBe(1)
  })
  it('of one pool are those of the pool, however many rest on it; of two pools they add', () => {
    const same = add(
      uncertain(0, repeatSource('V', 'a', 'p', 4), 1),
      uncertain(0, repeatSource('V', 'b', 'p', 4), 1),
    )
    expect(freedomOf(same)).toBeCloseTo(4, 12)
    const two = add(
      uncertain(0, repeatSource('V', 'a', 'p', 4), 1),
      uncertain(0, repeatSource('I', 'a', 'q', 4), 1),
    )
    expect(freedomOf(two)).toBeCloseTo(8, 12)
  })
  it('give the probability of JCGM 106: 1521 ± 39 W against 1500 W is met, 86 %', () => {
    expect(1 - probabilityUnder(uncertain(1521, 's', 19.5), 1500)).toBeCloseTo(0.86, 2)
    expect(probabilityUnder(uncertain(1390, 's', 8.5), 1400)).toBeCloseTo(0.88, 2)
    expect(probabilityUnder(uncertain(5, 's', 0), 6)).toBe(1)
  })
})
