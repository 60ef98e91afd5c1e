import type { Comparator, Outcome } from '@even-watt/contract'
import { expanded, probabilityUnder, type Uncertain } from '../meters'

/** Whether a figure is what it says, or the truth is at least, or at most, that. */
export type Bound = 'exact' | 'at least' | 'at most'

export type Side = 'met' | 'not met'

export interface Ruling {
  readonly is: Side
  /** Whether it clears, or misses, by more than its expanded uncertainty. */
  readonly sure: boolean
  /** Of what it is, 0.5 to 1; absent where only the step of a load tells. */
  readonly probability?: number
}

/**
 * A result x with expanded uncertainty U against a promise c (JCGM 106, docs/method/findings.md): it clears c or misses it,
 * by more than U or by no more; a tie is met within uncertainty. For "within ±" the result is the deviation and its size
 * counts. A bound shows only what every value on its side of it would show: undefined where it shows nothing.
 */
export function rule(
  x: Uncertain,
  bound: Bound,
  comparator: Comparator,
  promised: number,
): Ruling | undefined {
  const clears = clearance(x.value, comparator, promised)
  const is = sideOf(x.value, bound, comparator, promised)
  if (!is) return undefined
  const U = expanded(x)
  const sure = clears >= 0 ? clears > U : -clears > U
  const kept = probabilityOf(x, comparator, promised)
  return { is, sure, probability: is === 'met' ? kept : 1 - kept }
}

/** On which side of what is promised a value stands, its uncertainty apart; undefined: a bound that shows nothing. */
export function sideOf(
  value: number,
  bound: Bound,
  comparator: Comparator,
  promised: number,
): Side | undefined {
  const clears = clearance(value, comparator, promised)
  // What failed just at what is promised failed: a tie goes to the side that its bound lies on.
  const failing = bound !== 'exact' && comparator !== 'within ±' && bound !== comparator
  const is = clears > 0 || (clears === 0 && !failing) ? 'met' : 'not met'
  return shows(is, bound, comparator, value) ? is : undefined
}

/** By how much a value clears what is promised, in its unit; below 0 it misses it. */
export const clearance = (value: number, comparator: Comparator, promised: number): number =>
  comparator === 'at least'
    ? value - promised
    : comparator === 'at most'
      ? promised - value
      : promised - Math.abs(value)

/** What holds of a bound also holds of all that lies beyond it. */
function shows(is: Ruling['is'], bound: Bound, comparator: Comparator, value: number): boolean {
  if (bound === 'exact') return true
  if (comparator === 'within ±')
    // Further out on the side where it already is outside; nothing shows that it lies inside.
    return is === 'not met' && (bound === 'at least') === value > 0
  const keeps = comparator === 'at least' ? 'at least' : 'at most'
  return is === 'met' ? bound === keeps : bound !== keeps
}

/** Probability that what was promised is kept. */
function probabilityOf(x: Uncertain, comparator: Comparator, promised: number): number {
  if (comparator === 'at most') return probabilityUnder(x, promised)
  if (comparator === 'at least') return 1 - probabilityUnder(x, promised)
  return probabilityUnder(x, promised) - probabilityUnder(x, -promised)
}

export const outcomeOf = ({ is, sure }: Ruling): Outcome => (sure ? is : `${is}, within uncertainty`)

/** Whether an outcome says that a promise is kept, or that it is broken, however surely. */
export const isMet = (outcome: Outcome): boolean => outcome === 'met' || outcome === 'met, within uncertainty'
export const isNotMet = (outcome: Outcome): boolean =>
  outcome === 'not met' || outcome === 'not met, within uncertainty'
export const isDecided = (outcome: Outcome): boolean => isMet(outcome) || isNotMet(outcome)
