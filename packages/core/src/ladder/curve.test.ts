import fc from 'fast-check'
import { exact, expanded, uncertain } from '../meters'
import {
  dutyEfficiency,
  efficiencyAt,
  fitLoss,
  fitTogether,
  hasFit,
  lossAt,
  peakOf,
  rangeAbove,
  weightedEfficiency,
  weightings,
  type LossCurve,
  type LossFit,
} from '.'

const loads = [0, 70, 140, 350, 700, 1050, 1400]

const curveOf = (name: string, p0: number, p1: number, p2: number, scale = 1): LossCurve => ({
  name,
  points: loads.map((S) => ({
    key: `${S}`,
    S: exact(S * scale),
    loss: uncertain(p0 + p1 * S * scale + p2 * (S * scale) ** 2, `own|loss|${name} ${S}`, 0.02),
  })),
})

const fitted = (curve: LossCurve): LossFit => {
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
          const weighted = weightedEfficiency(fit, weighting, 1400).value
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

describe('curves fitted together', () => {
  const shared = (curve: LossCurve, factor: number): LossCurve => ({
    ...curve,
    points: curve.points.map((point) => ({
      ...point,
      loss: {
        value: point.loss.value + factor * 0.01 * point.S.value,
        sources: new Map([...point.loss.sources, ['spec|wattmeter|w', 0.01 * point.S.value]]),
      },
    })),
  })

  it('are the same as fitted alone when they share no meter', () => {
    const [a, b] = [curveOf('a', 10.4, 0.021, 3.1e-5), curveOf('b', 8.5, 0.018, 3e-5)]
    const [one, two] = fitTogether([a, b])
    if (!one || !two || !hasFit(one) || !hasFit(two)) throw new Error('no fit')
    for (const [together, alone] of [
      [one, fitted(a)],
      [two, fitted(b)],
    ] as const) {
      expect(efficiencyAt(together, 500).value).toBeCloseTo(efficiencyAt(alone, 500).value, 9)
      expect(expanded(efficiencyAt(together, 500))).toBeCloseTo(expanded(efficiencyAt(alone, 500)), 9)
    }
  })

  it('know their difference better than each alone, and do not care which comes first', () => {
    const [a, b] = [shared(curveOf('a', 10.4, 0.021, 3.1e-5), 1), shared(curveOf('b', 8.5, 0.018, 3e-5), 1)]
    const apart = (first: LossCurve, second: LossCurve) => {
      const [one, two] = fitTogether([first, second])
      if (!one || !two || !hasFit(one) || !hasFit(two)) throw new Error('no fit')
      return lossAt(one, 700).value - lossAt(two, 700).value
    }
    expect(apart(a, b)).toBeCloseTo(10.4 - 8.5 + (0.021 - 0.018) * 700 + (3.1e-5 - 3e-5) * 490000, 2)
    expect(apart(a, b)).toBeCloseTo(-apart(b, a), 6)
  })

  it('leave out a curve with too few points, and fit the other', () => {
    const few = {
      ...curveOf('few', 10, 0.02, 3e-5),
      points: curveOf('few', 10, 0.02, 3e-5).points.slice(0, 3),
    }
    const [one, two] = fitTogether([few, curveOf('b', 8.5, 0.018, 3e-5)])
    expect(one).toEqual({ missing: 'No curve yet: 1 more loaded step with input and output power needed.' })
    expect(two && hasFit(two) && two.p0.value).toBeCloseTo(8.5, 5)
    expect(fitTogether([few]).length).toBe(1)
    expect(fitTogether([])).toEqual([])
  })
})
