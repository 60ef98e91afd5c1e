import { efficiencyAt, type LossFit } from '../ladder'
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

/** Difference of two curves' efficiency at one load, W: the factors of the meters they share cancel by their names. */
export const efficiencyDifference = (first: LossFit, second: LossFit, P: number): Difference =>
  differenceOf(efficiencyAt(first, P), efficiencyAt(second, P))
