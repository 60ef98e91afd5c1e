import { contradict, normalisedError } from './contradiction'
import type { Uncertain } from './uncertain'

/** One way to know a quantity: a meter, or a relation between others. */
export interface Route {
  readonly name: string
  readonly x: Uncertain
}

export interface Ruling {
  /** The route that all the others contradict. */
  readonly odd: Route
  readonly others: readonly Route[]
  /** Its smallest E_n against the others; over 1. */
  readonly error: number
}

/**
 * The arbiter of docs/method/meters.md: of at least three ways to one quantity, the one that all others contradict while they
 * agree among themselves. Undefined when there are fewer, when all agree, or when it cannot be told which is odd:
 * two that contradict each other are never judged by themselves.
 */
export function arbitrate(routes: readonly Route[]): Ruling | undefined {
  if (routes.length < 3) return undefined
  const rulings = routes.flatMap((odd): Ruling[] => {
    const others = routes.filter((route) => route !== odd)
    const agree = others.every((a, i) => others.slice(i + 1).every((b) => !contradict(a.x, b.x)))
    const error = Math.min(...others.map((other) => normalisedError(odd.x, other.x)))
    return agree && error > 1 ? [{ odd, others, error }] : []
  })
  return rulings.length === 1 ? rulings[0] : undefined
}
