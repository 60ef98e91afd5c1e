import fc from 'fast-check'
import { isFigure, type Derived, type Figure } from '../figures'
import { add, exact, standard, uncertain, type Uncertain } from '../meters'
import { fitSupply, regress, type SourceFit, type SupplyPoint } from '.'

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
    expect(
      regress(
        [
          [1, 2],
          [1, 2],
          [1, 2],
        ],
        [1, 2, 3],
        [1, 1, 1],
      ),
    ).toBeUndefined()
    expect(regress([], [], [])).toBeUndefined()
    expect(
      regress(
        [
          [1, 1],
          [1, 2],
          [1, 3],
        ],
        [1, 2, 3],
        [1, 0, 0],
      ),
    ).toBeUndefined()
  })

  it('is a linear form in the observations', () => {
    const X = [
      [1, 0],
      [1, 3],
      [1, 7],
      [1, 8],
    ]
    const y = [5, 4, 2.5, 2]
    const fit = regress(X, y, [1, 2, 1, 4])
    fit?.response.forEach((row, k) => {
      expect(y.reduce((sum, value, i) => sum + (row[i] ?? 0) * value, 0)).toBeCloseTo(
        fit.coefficients[k] ?? NaN,
        12,
      )
    })
  })
})

describe('what a ladder says of its own supply', () => {
  const currents = [0.4, 3, 14, 29, 44, 60]
  const hours = [0, 0.1, 0.5, 0.3, 0.2, 0.4]
  const figure = (symbol: string, unit: 'V' | 'A', x: Uncertain): Figure => ({
    symbol,
    unit,
    x,
    grade: 'measured',
    working: { formula: symbol, inputs: [], notes: [], entries: [symbol] },
  })

  /** A bank of 26.4 V and 11.7 mΩ behind a path of 5.9 mΩ, read with one voltmeter and one clamp. */
  const bench = ({
    drift = 0,
    scatter = () => 0,
    support = 0,
    lowered = () => 0,
  }: {
    drift?: number
    scatter?: (i: number) => number
    support?: number
    lowered?: (i: number) => number
  } = {}): SupplyPoint[] =>
    currents.map((I, i) => {
      const bank = Math.max(0, I - support)
      const V_A = 26.4 - lowered(i) - 0.0117 * bank + drift * (hours[i] ?? 0) + scatter(i)
      const volts = (tap: string, V: number) =>
        figure(tap, 'V', {
          value: V,
          sources: new Map([
            ['spec|v|r', 0.001 * V],
            [`own|${tap}|${i}`, 0.003],
          ]),
        })
      const amps = (where: string, x: number) =>
        figure(where, 'A', {
          value: x,
          sources: new Map([
            ['spec|a|r', 0.003 * x],
            [`own|${where}|${i}`, 0.01],
          ]),
        })
      const read = amps('I', I)
      return {
        ...(i ? { step: `step ${i}` } : {}),
        hours: hours[i] ?? 0,
        V_A: volts('V_A', V_A),
        V_B: volts('V_B', V_A - 0.0059 * I),
        I: read,
        I_bank: support ? amps('I_bank', bank) : read,
      }
    })
  const source = (fit: SourceFit | { missing: string }): SourceFit => {
    if (!('R' in fit)) throw new Error(fit.missing)
    return fit
  }
  const known = (path: Derived): Figure => {
    if (!isFigure(path)) throw new Error(path.missing)
    return path
  }

  it('finds E and R behind either tap, and the path between them', () => {
    const { atA, atB, path } = fitSupply(bench(), 'bench')
    const [A, B] = [source(atA), source(atB)]
    expect(A.E.x.value).toBeCloseTo(26.4, 9)
    expect(A.R.x.value).toBeCloseTo(0.0117, 9)
    expect(A.drift).toBeUndefined()
    expect(B.R.x.value).toBeCloseTo(0.0176, 9)
    expect(known(path).x.value).toBeCloseTo(0.0059, 9)
    // A clamp that reads too much makes every resistance too small, in proportion.
    expect(known(path).x.sources.get('spec|a|r')).toBeCloseTo(-0.003 * 0.0059, 7)
  })

  it('knows that the parts of a resistance share readings: their sum is as well known as the whole', () => {
    const { atA, atB, path } = fitSupply(bench(), 'bench')
    const sum = standard(add(source(atA).R.x, known(path).x))
    expect(sum / standard(source(atB).R.x)).toBeCloseTo(1, 1)
    expect(sum).toBeLessThan(Math.hypot(standard(source(atA).R.x), standard(known(path).x)))
  })

  it('finds the path beside a charger, whose kink spoils V_B on I', () => {
    const { atA, atB, path } = fitSupply(bench({ support: 20 }), 'bench')
    expect(known(path).x.value).toBeCloseTo(0.0059, 9)
    expect(source(atA).R.x.value).toBeCloseTo(0.0117, 9)
    expect(Math.abs(source(atB).R.x.value - source(atA).R.x.value - 0.0059)).toBeGreaterThan(0.001)
  })

  it('allows for a drift of the rest voltage when it is clear', () => {
    const drifting = source(fitSupply(bench({ drift: -0.2 }), 'bench').atA)
    expect(drifting.R.x.value).toBeCloseTo(0.0117, 6)
    expect(drifting.drift?.x.value).toBeCloseTo(-0.2, 6)
  })

  it('sets aside steps whose posts stand far under the line of the others, one or two, wherever they stand', () => {
    const scatter = (i: number) => 0.01 * Math.sin(9 * i)
    const steps = fc.uniqueArray(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 2 })
    fc.assert(
      fc.property(steps, fc.double({ min: 0.8, max: 6, noNaN: true }), (low, volts) => {
        const { atA, off, path } = fitSupply(
          bench({ scatter, lowered: (i) => (low.includes(i) ? volts : 0) }),
          'bench',
        )
        expect([...off.keys()].sort()).toEqual(low.map((i) => `step ${i}`).sort())
        for (const lack of off.values()) expect(Math.abs((lack ?? 0) - volts)).toBeLessThan(0.1)
        expect(source(atA).E.x.value).toBeCloseTo(26.4, 1)
        // The path is the same whatever stands before it.
        expect(known(path).x.value).toBeCloseTo(0.0059, 9)
      }),
      { numRuns: 60 },
    )
  })

  it('sets nothing aside where the points only scatter, drift or are too few, or where a charger bends the line', () => {
    const scatters = fc.array(fc.double({ min: -0.1, max: 0.1, noNaN: true }), { minLength: 6, maxLength: 6 })
    fc.assert(
      fc.property(scatters, (each) => {
        expect(fitSupply(bench({ scatter: (i) => each[i] ?? 0 }), 'bench').off.size).toBe(0)
      }),
      { numRuns: 100 },
    )
    // The line of few points is not sure of itself far from them: what they scatter alone would not tell.
    const few = [-0.08883115577167368, 0, 0, 0.09999999999999964, -0.08615243171027309, 0]
    expect(fitSupply(bench({ scatter: (i) => few[i] ?? 0 }), 'bench').off.size).toBe(0)
    expect(fitSupply(bench({ drift: -2 }), 'bench').off.size).toBe(0)
    expect(fitSupply(bench({ support: 40 }), 'bench').off.size).toBe(0)
    expect(fitSupply(bench({ lowered: (i) => (i === 3 ? 2 : 0) }).slice(0, 4), 'bench').off.size).toBe(0)
  })

  it('sets aside what the tester lowered on purpose, by however little', () => {
    const points = bench({ lowered: (i) => (i === 5 ? 0.2 : 0) }).map((one) =>
      one.step === 'step 5' ? { ...one, lowered: true } : one,
    )
    const { atA, off } = fitSupply(points, 'bench')
    expect([...off]).toEqual([['step 5', undefined]])
    expect(source(atA).R.x.value).toBeCloseTo(0.0117, 9)
  })

  it('widens when the points scatter more than their meters explain', () => {
    const u = (points: SupplyPoint[]) => standard(source(fitSupply(points, 'bench').atA).R.x)
    const wild = bench({ scatter: (i) => (i % 2 ? 0.05 : -0.05) })
    expect(u(wild)).toBeGreaterThan(3 * u(bench()))
  })

  it('does not depend on the order of the points', () => {
    const points = bench({ scatter: (i) => 0.002 * Math.sin(9 * i) })
    const [one, two] = [points, [...points].reverse()].map((some) => source(fitSupply(some, 'bench').atA).R.x)
    expect(Math.abs((one?.value ?? NaN) - (two?.value ?? NaN))).toBeLessThan(1e-12)
    expect(standard(one ?? exact(NaN)) / standard(two ?? exact(NaN))).toBeCloseTo(1, 9)
  })

  it('says what is missing', () => {
    expect(fitSupply(bench().slice(0, 2), 'bench').atA).toMatchObject({
      missing: expect.stringContaining('Three steps') as string,
    })
    const flat = bench().map((one) => ({ ...one, I: figure('I', 'A', uncertain(20, 'x', 0.1)) }))
    expect(fitSupply(flat, 'bench').atB).toMatchObject({
      missing: expect.stringContaining('too close') as string,
    })
  })
})
