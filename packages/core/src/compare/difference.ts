import { efficiencyAt, fitTogether, hasFit, type LossCurve } from '../ladder'
import { expanded, subtract, type Uncertain } from '../meters'

export interface Difference {
  /** First minus second. */
  readonly x: Uncertain
  /** Whether it exceeds its expanded uncertainty. */
  readonly significant: boolean
}

/** Difference of two figures with what their shared meters have in common taken out (docs/method/meters.md). */
export function differenceOf(first: Uncertain, second: Uncertain): Difference {
  const x = subtract(first, second)
  return { x, significant: Math.abs(x.value) > expanded(x) }
}

/**
 * Difference of two units' efficiency at one load, W, from curves fitted together. Undefined when either has too
 * few steps for a curve.
 */
export function efficiencyDifference(first: LossCurve, second: LossCurve, P: number): Difference | undefined {
  const [one, two] = fitTogether([first, second])
  if (!one || !two || !hasFit(one) || !hasFit(two)) return undefined
  return differenceOf(efficiencyAt(one, P), efficiencyAt(two, P))
}
