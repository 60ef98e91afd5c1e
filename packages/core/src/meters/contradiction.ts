import { expanded } from './freedom'
import { subtract, type Uncertain } from './uncertain'

/**
 * Normalised error of two meters on one quantity (ISO 13528, docs/method/meters.md): |x1 − x2| / √(U1² + U2²).
 * Over 1 they contradict. Infinite when both are exact and differ; 0 when they agree exactly.
 */
export function normalisedError(x1: Uncertain, x2: Uncertain): number {
  const difference = Math.abs(x1.value - x2.value)
  return difference === 0 ? 0 : difference / Math.hypot(expanded(x1), expanded(x2))
}

/**
 * The same with what the two have in common taken out: |x1 − x2| / U(x1 − x2), by their covariance. Infinite when they differ
 * and nothing of that is uncertain.
 */
export function disagreement(x1: Uncertain, x2: Uncertain): number {
  const apart = subtract(x1, x2)
  return apart.value === 0 ? 0 : Math.abs(apart.value) / expanded(apart)
}

export const contradict = (x1: Uncertain, x2: Uncertain): boolean => normalisedError(x1, x2) > 1
