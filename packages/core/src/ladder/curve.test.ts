import fc from 'fast-check'
import { exact, expanded, subtract, uncertain } from '../meters'
import {
  dutyEfficiency,
  efficiencyAt,
  fitLoss,
  hasFit,
  lossAt,
  peakOf,
  rangeAbove,
  weightedEfficiency,
  weightings,
  type LossFit,
  type LossPoint,
} from '.'

const loads = [0, 70, 140, 350, 700, 1050, 1400]

interface Curve {
  readonly name: string
  readonly points: readonly LossPoint[]
}

const curveOf = (name: string, p0: number, p1: number, p2: number, scale = 1): Curve => ({
  name,
  points: loads.map((S) => ({
    key: `${S}`,
    S: exact(S * scale),
    loss: uncertain(p0 + p1 * S * scale + p2 * (S * scale) ** 2, `own|loss|${name} ${S}`, 0.02),
    scatter: 0,
  })),
})

const fitted = (curve: Curve): LossFit => {
  const fit = fitLoss(curve.points, curve.name)
  if (!hasFit(fit)) throw new Error(fit.missing)
  return fit
}

const terms = fc.record({
  p0: fc.double({ min: 2, max: 40, noNaN: true }),
  p1: fc.double({ min: 0.002, max: 0.08, noNaN: true }),
  p2: fc.double({ min: 5e-6, max: 8e-5, noNaN: true }),
})

describe('the curve, whatever its terms', () => {
  it('has its peak where no other load does better', () => {
    fc.assert(
      fc.property(terms, fc.double({ min: 71, max: 1399, noNaN: true }), ({ p0, p1, p2 }, P) => {
        const fit = fitted(curveOf('a', p0, p1, p2))
        const peak = peakOf(fit)
        if (!peak) return
        expect(efficiencyAt(fit, P).value).toBeLessThanOrEqual(peak.eta.value + 1e-12)
      }),
      { numRuns: 60 },
    )
  })

  it('holds a claim exactly inside the range it answers', () => {
    fc.assert(
      fc.property(
        terms,
        fc.double({ min: 0.7, max: 0.98, noNaN: true }),
        fc.double({ min: 71, max: 1399, noNaN: true }),
        ({ p0, p1, p2 }, target, P) => {
          const fit = fitted(curveOf('a', p0, p1, p2))
          const inside = rangeAbove(fit, target).some(({ from, to }) => P >= from && P <= to)
          const eta = efficiencyAt(fit, P).value
          if (Math.abs(eta - target) > 1e-9) expect(inside).toBe(eta > target)
        },
      ),
      { numRuns: 80 },
    )
  })

  it('loses at least its idle draw, and more the more it carries', () => {
    fc.assert(
      fc.property(
        terms,
        fc.double({ min: 1, max: 1400, noNaN: true }),
        fc.double({ min: 1, max: 1400, noNaN: true }),
        ({ p0, p1, p2 }, a, b) => {
          const fit = fitted(curveOf('a', p0, p1, p2))
          const [low, high] = [Math.min(a, b), Math.max(a, b)]
          expect(lossAt(fit, low).value).toBeGreaterThanOrEqual(fit.p0.value)
          expect(lossAt(fit, high).value).toBeGreaterThanOrEqual(lossAt(fit, low).value)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('weighs between its worst and its best point', () => {
    fc.assert(
      fc.property(
        terms,
        fc.constantFrom('European' as const, 'Californian' as const),
        ({ p0, p1, p2 }, weighting) => {
          const fit = fitted(curveOf('a', p0, p1, p2))
          const points = weightings[weighting].map(([fraction]) => efficiencyAt(fit, fraction * 1400).value)
          const weighted = weightedEfficiency(fit, weighting, 1400)?.value ?? 0
          expect(weighted).toBeGreaterThanOrEqual(Math.min(...points) - 1e-12)
          expect(weighted).toBeLessThanOrEqual(Math.max(...points) + 1e-12)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('serves a duty of one load as well as its point there, and idle alone not at all', () => {
    const fit = fitted(curveOf('a', 10.4, 0.021, 3.1e-5))
    expect(dutyEfficiency(fit, [{ hours: 5, load: 700 }])?.value).toBeCloseTo(
      efficiencyAt(fit, 700).value,
      12,
    )
    expect(dutyEfficiency(fit, [{ hours: 24, load: 0 }])?.value).toBe(0)
    // Hours in another order, or in halves, are the same duty.
    const whole = dutyEfficiency(fit, [
      { hours: 18, load: 0 },
      { hours: 4, load: 90 },
    ])
    const halves = dutyEfficiency(fit, [
      { hours: 2, load: 90 },
      { hours: 18, load: 0 },
      { hours: 2, load: 90 },
    ])
    expect(halves?.value).toBeCloseTo(whole?.value ?? 0, 12)
    expect(expanded(halves ?? exact(0))).toBeCloseTo(expanded(whole ?? exact(0)), 12)
  })

  it('has weights that add up to one', () => {
    for (const weighting of Object.values(weightings)) {
      expect(weighting.reduce((sum, [, weight]) => sum + weight, 0)).toBeCloseTo(1, 12)
    }
  })
})

describe('the difference of two curves', () => {
  const shared = ({ name, points }: Curve, factor: number): Curve => ({
    name,
    points: points.map((point) => ({
      ...point,
      loss: {
        value: point.loss.value + factor * 0.01 * point.S.value,
        sources: new Map([...point.loss.sources, ['spec|wattmeter|w', 0.01 * point.S.value]]),
      },
    })),
  })

  it('is known far better than either where they share a meter, whatever its error', () => {
    const [a, b] = [
      fitted(shared(curveOf('a', 10.4, 0.021, 3.1e-5), 1)),
      fitted(shared(curveOf('b', 8.5, 0.018, 3e-5), 1)),
    ]
    const apart = subtract(lossAt(a, 700), lossAt(b, 700))
    expect(apart.value).toBeCloseTo(10.4 - 8.5 + (0.021 - 0.018) * 700 + (3.1e-5 - 3e-5) * 490000, 6)
    expect(expanded(apart)).toBeLessThan(0.01 * expanded(lossAt(a, 700)))
  })

  it('is known no better where they share none', () => {
    const [a, b] = [fitted(curveOf('a', 10.4, 0.021, 3.1e-5)), fitted(curveOf('b', 8.5, 0.018, 3e-5))]
    const apart = subtract(lossAt(a, 700), lossAt(b, 700))
    expect(expanded(apart)).toBeCloseTo(Math.hypot(expanded(lossAt(a, 700)), expanded(lossAt(b, 700))), 9)
  })
})
