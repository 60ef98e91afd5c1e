import type { Comparator, Outcome } from '@even-watt/contract'
import { expanded, type Uncertain } from '../meters'

/**
 * Verdict on a claim c by a result x with expanded uncertainty U (JCGM 106, docs/method/findings.md): "met" only when x
 * clears c by more than U; a tie counts as within. For "within ±" the result is the deviation and its size
 * counts.
 */
export function judge(x: Uncertain, comparator: Comparator, claim: number): Outcome {
  const clears =
    comparator === 'at least'
      ? x.value - claim
      : comparator === 'at most'
        ? claim - x.value
        : claim - Math.abs(x.value)
  const U = expanded(x)
  if (clears >= 0) return clears > U ? 'met' : 'met, within uncertainty'
  return -clears > U ? 'not met' : 'not met, within uncertainty'
}
