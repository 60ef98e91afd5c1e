import fc from 'fast-check'
import { derive, isFigure, sayFigure, showBare, showFigure } from '../figures'
import {
  add,
  arbitrate,
  averageRespondingError,
  budget,
  combine,
  contradict,
  covariance,
  divide,
  exact,
  expanded,
  halfWidth,
  measured,
  multiply,
  normalisedError,
  pooledSpread,
  rangeFor,
  readSource,
  rectangular,
  rounding,
  scale,
  scatterOf,
  specificationSource,
  standard,
  subtract,
  uncertain,
  type Uncertain,
} from '.'

// Handbook §7: V ±(0.5 % + 2 × 0.01), I ±(2 % + 3 × 0.1), P ±(1 % + 1 × 1) at the step of §6.
const volts = { percent: 0.5, counts: 2, count: 0.01 }
const amps = { percent: 2, counts: 3, count: 0.1 }
const watts = { percent: 1, counts: 1, count: 1 }

describe('specification', () => {
  it('gives the worked standard uncertainties of docs/method', () => {
    expect(rectangular(halfWidth(volts, 25.61))).toBeCloseTo(0.0855, 4)
    expect(rectangular(halfWidth(amps, 41.3))).toBeCloseTo(0.65, 3)
    expect(rectangular(halfWidth(watts, 964))).toBeCloseTo(6.143, 3)
  })

  it('leads to an efficiency of 91.1 ± 3.2 points from the common parts alone', () => {
    const V = uncertain(25.61, 'v', rectangular(halfWidth(volts, 25.61)))
    const I = uncertain(41.3, 'i', rectangular(halfWidth(amps, 41.3)))
    const P = uncertain(964, 'p', rectangular(halfWidth(watts, 964)))
    const eta = divide(P, multiply(V, I))
    expect(eta.value).toBeCloseTo(0.9114, 4)
    expect(100 * expanded(eta)).toBeCloseTo(3.2, 1)
    expect(sayFigure({ x: eta, unit: '%' })).toBe('91.1 ± 3.2 %')
  })

  it('is the same half-width for either sign', () => {
    expect(halfWidth(volts, -12)).toBe(halfWidth(volts, 12))
  })
})

describe('readings', () => {
  const range = { id: 'r', reads: 'DC voltage' as const, upTo: 60, ...volts, standsSteppedWave: true }

  it('share the factor of their meter and range, so a drop read on one meter is known far better', () => {
    const read = (x: number, where: string) => measured({ values: [x], spread: 0 }, 'dmm', range, 'V', where)
    const one = subtract(read(25.92, 'a'), read(25.61, 'b'))
    const other = { ...range, id: 'other' }
    const two = subtract(read(25.92, 'a'), measured({ values: [25.61], spread: 0 }, 'dmm', other, 'V', 'b'))
    expect(standard(one)).toBeLessThan(standard(two) / 10)
    // What is left is two roundings and 0.5 % of the drop itself.
    expect(standard(one)).toBeCloseTo(
      Math.hypot(rounding(0.01) * Math.SQRT2, (0.005 * 0.31) / Math.sqrt(3)),
      6,
    )
  })

  it('average their repeats: the scatter falls with √N, the specification does not', () => {
    const many = measured({ values: [10, 10.02, 9.98, 10], spread: 0.02 }, 'm', range, 'V', 'x')
    expect(many.value).toBeCloseTo(10, 12)
    expect(many.sources.get(specificationSource('m', 'r'))).toBeCloseTo(rectangular(0.07), 6)
    expect(many.sources.get('own|V|x')).toBeCloseTo(Math.hypot(rounding(0.01), 0.01), 12)
  })

  it('pool the scatter of groups by degrees of freedom', () => {
    expect(pooledSpread([[1, 3], [5, 5], [7]].map(scatterOf)).spread).toBeCloseTo(1, 12)
    expect(pooledSpread([[1, 3], [5, 5], [7]].map(scatterOf)).freedom).toBe(2)
    expect(pooledSpread([[1], []].map(scatterOf)).spread).toBe(0)
  })

  it('take the smallest range that holds the value, the largest when none does', () => {
    const ranges = [6, 60, 600].map((upTo) => ({ reads: 'DC voltage' as const, upTo }))
    expect(rangeFor(ranges, 'DC voltage', -5.9)?.upTo).toBe(6)
    expect(rangeFor(ranges, 'DC voltage', 6.1)?.upTo).toBe(60)
    expect(rangeFor(ranges, 'DC voltage', 1000)?.upTo).toBe(600)
    expect(rangeFor(ranges, 'AC voltage', 1)).toBeUndefined()
  })
})

describe('two meters on one quantity', () => {
  it('contradict when E_n is over 1', () => {
    expect(normalisedError(uncertain(226, 'a', 1.2), uncertain(213, 'b', 4))).toBeCloseTo(
      13 / Math.hypot(2.4, 8),
      12,
    )
    expect(contradict(uncertain(226, 'a', 1.2), uncertain(213, 'b', 4))).toBe(true)
    expect(contradict(uncertain(226, 'a', 1.2), uncertain(225, 'b', 1.2))).toBe(false)
    expect(normalisedError(exact(1), exact(1))).toBe(0)
    expect(normalisedError(exact(1), exact(2))).toBe(Infinity)
  })
})

describe('average-responding meters on a stepped wave (§17)', () => {
  it.each([
    [0.5, -0.215],
    [2 / 3, -0.093],
    [0.72, -0.058],
    [0.81, 0],
    [1, 0.111],
  ])('at δ = %p the error is %p', (delta, error) => {
    expect(averageRespondingError(delta)).toBeCloseTo(error, 3)
  })
})

describe('propagation', () => {
  const value = fc.double({ min: 0.1, max: 100, noNaN: true })
  const u = fc.double({ min: 0, max: 1, noNaN: true })
  const anyUncertain = fc
    .tuple(value, fc.constantFrom('a', 'b', 'c'), u, fc.constantFrom('d', 'e'), u)
    .map(([x, s, us, t, ut]): Uncertain => ({
      value: x,
      sources: new Map([
        [s, us],
        [t, ut],
      ]),
    }))

  it('has variance equal to covariance with itself', () => {
    fc.assert(
      fc.property(anyUncertain, (x) => {
        expect(covariance(x, x)).toBeCloseTo(standard(x) ** 2, 9)
      }),
    )
  })

  it('follows var(x ± y) = var x + var y ± 2 cov(x, y)', () => {
    fc.assert(
      fc.property(anyUncertain, anyUncertain, (x, y) => {
        const parts = standard(x) ** 2 + standard(y) ** 2
        expect(standard(add(x, y)) ** 2).toBeCloseTo(parts + 2 * covariance(x, y), 8)
        expect(standard(subtract(x, y)) ** 2).toBeCloseTo(parts - 2 * covariance(x, y), 8)
      }),
    )
  })

  it('loses nothing in a product undone by a quotient, and scales', () => {
    fc.assert(
      fc.property(anyUncertain, anyUncertain, fc.double({ min: -5, max: 5, noNaN: true }), (x, y, k) => {
        const back = divide(multiply(x, y), y)
        expect(back.value).toBeCloseTo(x.value, 9)
        expect(standard(back)).toBeCloseTo(standard(x), 7)
        expect(standard(scale(x, k))).toBeCloseTo(Math.abs(k) * standard(x), 9)
      }),
    )
  })

  it('matches a numerical derivative for a ratio of three factors', () => {
    const at = (v: number, i: number, p: number) => p / (v * i)
    const h = 1e-6
    const x = divide(uncertain(964, 'p', 1), multiply(uncertain(25.61, 'v', 1), uncertain(41.3, 'i', 1)))
    expect(x.sources.get('v')).toBeCloseTo((at(25.61 + h, 41.3, 964) - at(25.61 - h, 41.3, 964)) / (2 * h), 7)
    expect(x.sources.get('i')).toBeCloseTo((at(25.61, 41.3 + h, 964) - at(25.61, 41.3 - h, 964)) / (2 * h), 7)
    expect(x.sources.get('p')).toBeCloseTo(1 / (25.61 * 41.3), 12)
  })

  it('gives a budget whose shares add up to one, the largest first', () => {
    const lines = budget(
      combine(1, [
        [uncertain(0, 'a', 3), 1],
        [uncertain(0, 'b', 4), 1],
      ]),
    )
    expect(lines.map((line) => line.source)).toEqual(['b', 'a'])
    expect(lines.map((line) => line.share)).toEqual([0.64, 0.36])
    expect(budget(exact(3))).toEqual([])
  })

  it('names sources so that they can be read back', () => {
    expect(readSource(specificationSource('m1', 'r1'))).toEqual({ kind: 'spec', meter: 'm1', range: 'r1' })
    expect(readSource('own|V_B|step|2')).toEqual({ kind: 'own', what: 'V_B', where: 'step|2' })
    expect(readSource('method|ripple|1')).toEqual({ kind: 'method', what: 'ripple', where: '1' })
  })
})

describe('showing figures', () => {
  it('shows two figures of the uncertainty, or three significant figures without any', () => {
    expect(showFigure({ x: uncertain(0.93142, 's', 0.007), unit: '%' })).toEqual({
      value: '93.1',
      uncertainty: '1.4',
    })
    expect(showFigure({ x: exact(1070.496), unit: 'W' })).toEqual({ value: '1070' })
    expect(showFigure({ x: exact(0.0075), unit: 'mΩ' })).toEqual({ value: '7.50' })
    expect(showFigure({ x: exact(0), unit: 'W' })).toEqual({ value: '0' })
    expect(showFigure({ x: uncertain(-0.5, 's', 0.6), unit: 'V' })).toEqual({
      value: '−0.5',
      uncertainty: '1.2',
    })
  })

  it('leaves the uncertainty out where a table is narrow', () => {
    expect(showBare({ x: uncertain(25.7004, 's', 0.0265), unit: 'V' })).toBe('25.70')
    expect(showBare({ x: uncertain(0.92345, 's', 0.007), unit: '%' }, 2)).toBe('92.3')
    expect(showBare({ x: uncertain(44.4, 's', 3), unit: 'W' })).toBe('44')
  })

  it('turns a division by zero into a reason, never into a number', () => {
    const zero = derive('η', '%', 'P_C / P_B', [], divide(exact(1), exact(0)))
    expect(isFigure(zero)).toBe(false)
    expect(zero).toEqual({ missing: 'η cannot be computed: division by zero.' })
  })
})

describe('the arbiter', () => {
  const route = (name: string, value: number, u = 1) => ({ name, x: uncertain(value, name, u) })
  it('names the one that the others, agreeing, contradict', () => {
    const ruling = arbitrate([route('a', 230), route('b', 200), route('c', 231)])
    expect(ruling?.odd.name).toBe('b')
    expect(ruling?.others.map(({ name }) => name)).toEqual(['a', 'c'])
    expect(ruling?.error).toBeCloseTo(30 / (2 * Math.SQRT2), 6)
  })
  it('cannot tell of two, of none that differ, or when the others quarrel too', () => {
    expect(arbitrate([route('a', 230), route('b', 200)])).toBeUndefined()
    expect(arbitrate([route('a', 230), route('b', 231), route('c', 229)])).toBeUndefined()
    expect(arbitrate([route('a', 230), route('b', 200), route('c', 260)])).toBeUndefined()
  })
  it('does not mind the order of the routes', () => {
    const values = fc.array(fc.double({ min: 200, max: 260, noNaN: true }), { minLength: 3, maxLength: 5 })
    fc.assert(
      fc.property(values, (numbers) => {
        const routes = numbers.map((value, i) => route(String(i), value))
        expect(arbitrate([...routes].reverse())?.odd.name).toBe(arbitrate(routes)?.odd.name)
      }),
    )
  })
})
