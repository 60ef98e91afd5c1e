import fc from 'fast-check'
import { isFigure, type Figure } from '../figures'
import { uncertain, type Uncertain } from '../meters'
import { fitSource, pathFromFits, regress, type SupplyPoint } from '.'

/** The textbook's closed form for one slope, sums and all. */
function line(x: readonly number[], y: readonly number[], w: readonly number[]) {
  const sum = (f: (i: number) => number) => x.reduce((total, _, i) => total + (w[i] ?? 0) * f(i), 0)
  const S = sum(() => 1)
  const mean = { x: sum((i) => x[i] ?? 0) / S, y: sum((i) => y[i] ?? 0) / S }
  const Sxx = sum((i) => ((x[i] ?? 0) - mean.x) ** 2)
  const Sxy = sum((i) => ((x[i] ?? 0) - mean.x) * ((y[i] ?? 0) - mean.y))
  const slope = Sxy / Sxx
  return {
    slope,
    intercept: mean.y - slope * mean.x,
    u2slope: 1 / Sxx,
    u2intercept: 1 / S + mean.x ** 2 / Sxx,
  }
}

describe('weighted regression', () => {
  const point = fc.record({
    x: fc.double({ min: 0, max: 100, noNaN: true }),
    y: fc.double({ min: -50, max: 50, noNaN: true }),
    w: fc.double({ min: 0.1, max: 100, noNaN: true }),
  })

  it('agrees with the closed form of a line to 1e-9', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 40 }), (points) => {
        const x = points.map((one) => one.x)
        if (Math.max(...x) - Math.min(...x) < 1) return
        const [y, w] = [points.map((one) => one.y), points.map((one) => one.w)]
        const fit = regress(
          x.map((value) => [1, value]),
          y,
          w,
        )
        const expected = line(x, y, w)
        const near = (a: number | undefined, b: number) =>
          expect(Math.abs((a ?? NaN) - b)).toBeLessThan(1e-9 * Math.max(1, Math.abs(b)))
        near(fit?.coefficients[0], expected.intercept)
        near(fit?.coefficients[1], expected.slope)
        near(fit?.covariance[1]?.[1], expected.u2slope)
        near(fit?.covariance[0]?.[0], expected.u2intercept)
      }),
    )
  })

  it('finds exact polynomials exactly, badly scaled as they are', () => {
    const x = Array.from({ length: 21 }, (_, i) => i)
    const fit = regress(
      x.map((v) => [1, v, v ** 2, v ** 3, v ** 4, v ** 5]),
      x.map((v) => 1 + v + v ** 2 + v ** 3 + v ** 4 + v ** 5),
      x.map(() => 1),
    )
    fit?.coefficients.forEach((c) => expect(c).toBeCloseTo(1, 7))
    expect(fit?.chiSquared).toBeLessThan(1e-9)
    expect(fit?.freedom).toBe(15)
  })

  it('gives up on too few points and on columns that are not independent', () => {
    expect(regress([[1, 2]], [3], [1])).toBeUndefined()
    expect(regress([[1, 2], [1, 2], [1, 2]], [1, 2, 3], [1, 1, 1])).toBeUndefined() // prettier-ignore
    expect(regress([], [], [])).toBeUndefined()
    expect(regress([[1, 1], [1, 2], [1, 3]], [1, 2, 3], [1, 0, 0])).toBeUndefined() // prettier-ignore
  })

  it('is a linear form in the observations', () => {
    const X = [[1, 0], [1, 3], [1, 7], [1, 8]] // prettier-ignore
    const y = [5, 4, 2.5, 2]
    const fit = regress(X, y, [1, 2, 1, 4])
    fit?.response.forEach((row, k) => {
      expect(row.reduce((sum, r, i) => sum + r * (y[i] ?? 0), 0)).toBeCloseTo(fit.coefficients[k] ?? NaN, 12)
    })
  })
})

describe('what a ladder says of its own supply', () => {
  const figure = (symbol: string, unit: 'V' | 'A', x: Uncertain): Figure => ({
    symbol, unit, x, grade: 'measured', working: { formula: symbol, inputs: [], notes: [], entries: [symbol] },
  }) // prettier-ignore
  const pointsOn = (E: number, R: number, drift = 0, scatter: (i: number) => number = () => 0): SupplyPoint[] =>
    [0.4, 3, 14, 29, 44, 60].map((I, i) => ({
      hours: [0, 0.1, 0.5, 0.3, 0.2, 0.4][i] ?? 0,
      I: figure('I', 'A', { value: I, sources: new Map([['spec|a|r', 0.003 * I], [`own|I|${i}`, 0.01]]) }),
      V: figure('V', 'V', {
        value: E - R * I + drift * ([0, 0.1, 0.5, 0.3, 0.2, 0.4][i] ?? 0) + scatter(i),
        sources: new Map([['spec|v|r', 0.026], [`own|V|${i}`, 0.003]]),
      }),
    })) // prettier-ignore

  it('finds E and R, and their difference at both taps as the path', () => {
    const [A, B] = [fitSource(pointsOn(26.4, 0.0117), 'A'), fitSource(pointsOn(26.4, 0.0176), 'B')]
    if (!('R' in A) || !('R' in B)) throw new Error('no fit')
    expect(A.E.x.value).toBeCloseTo(26.4, 9)
    expect(A.R.x.value).toBeCloseTo(0.0117, 9)
    expect(A.drift).toBeUndefined()
    const path = pathFromFits(B, A)
    expect(isFigure(path) && path.x.value).toBeCloseTo(0.0059, 9)
    // The voltmeter's own factor does not tilt the line.
    expect(Math.abs(A.R.x.sources.get('spec|v|r') ?? 0)).toBeLessThan(1e-9)
    expect(A.R.x.sources.get('spec|a|r')).toBeCloseTo(-0.003 * 0.0117, 6)
  })

  it('allows for a drift of the rest voltage when it is clear', () => {
    const drifting = fitSource(pointsOn(26.4, 0.0117, -0.2), 'A')
    if (!('R' in drifting)) throw new Error('no fit')
    expect(drifting.R.x.value).toBeCloseTo(0.0117, 6)
    expect(drifting.drift?.x.value).toBeCloseTo(-0.2, 6)
  })

  it('widens when the points scatter more than their meters explain', () => {
    const u = (fit: ReturnType<typeof fitSource>) =>
      'R' in fit ? Math.hypot(...fit.R.x.sources.values()) : NaN
    const wild = fitSource(
      pointsOn(26.4, 0.0117, 0, (i) => (i % 2 ? 0.05 : -0.05)),
      'A',
    )
    expect(u(wild)).toBeGreaterThan(3 * u(fitSource(pointsOn(26.4, 0.0117), 'A')))
  })

  it('does not depend on the order of the points', () => {
    const points = pointsOn(26.4, 0.0117, 0, (i) => 0.002 * Math.sin(9 * i))
    const [one, two] = [fitSource(points, 'A'), fitSource([...points].reverse(), 'A')]
    expect('R' in one && 'R' in two && Math.abs(one.R.x.value - two.R.x.value)).toBeLessThan(1e-12)
  })

  it('says what is missing', () => {
    expect(fitSource(pointsOn(26, 0.01).slice(0, 2), 'A')).toMatchObject({
      missing: expect.stringContaining('Three steps') as string,
    })
    const flat = pointsOn(26, 0.01).map((one) => ({ ...one, I: figure('I', 'A', uncertain(20, 'x', 0.1)) }))
    expect(fitSource(flat, 'B')).toMatchObject({ missing: expect.stringContaining('too close') as string })
  })
})
