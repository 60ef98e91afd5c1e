import { fanSeen, regimesOf, type Regime } from './fan'
import type { FanState, LossPoint } from './lossPoint'

/** How the points of one curve enter the fit: in order of load, with their columns. */
export interface LossPlan {
  readonly sorted: readonly LossPoint[]
  /** Measured range of S, VA. */
  readonly low: number
  readonly top: number
  readonly regimes: readonly Regime[]
  /** States of the fan that have a term of their own. */
  readonly states: readonly FanState[]
  /** 1, S/top, (S/top)², and 1 in each further state of the fan. */
  readonly rows: readonly (readonly number[])[]
  readonly notes: readonly string[]
}

/** Loaded points needed for a curve. */
const leastLoaded = 3

const tooFew = 'Too few steps to tell the fan from the rest: no fan term.'

/** How many loads there are, those within `least` VA of each other as one. */
function apart(sorted: readonly LossPoint[], least: number): number {
  // Counted against the last that was counted: many loads close together still span a range.
  let counted = -Infinity
  return sorted.filter(({ S }) => {
    if (S.value - counted <= least) return false
    counted = S.value
    return true
  }).length
}

/** Columns for the points, with a term for each state of the fan but those given; or what is missing for a curve. */
export function planOf(
  points: readonly LossPoint[],
  without: readonly FanState[] = [],
): LossPlan | { missing: string } {
  const sorted = [...points].sort((a, b) => a.S.value - b.S.value)
  const top = sorted.at(-1)?.S.value ?? 0
  const loaded = sorted.filter((point) => point.S.value > 0.01 * top)
  const distinct = apart(loaded, 0.01 * top)
  if (distinct < leastLoaded) {
    const more = leastLoaded - distinct
    return {
      missing: `No curve yet: ${more} more loaded step${more > 1 ? 's' : ''} with input and output power needed.`,
    }
  }
  const noted = fanSeen(sorted)
  const base = sorted[0] && noted.get(sorted[0])
  const others = new Set([...noted.values()].filter((state) => state !== undefined && state !== base))
  // Two readings of one load do not tell a fan from the rest.
  const told = apart(sorted, 0.01 * top) >= 3 + others.size
  // A state without a term is as the first one: it makes no stretch of its own.
  const hasTerm = (state: FanState | undefined): state is FanState =>
    told && state !== undefined && others.has(state) && !without.includes(state)
  const seen = new Map([...noted].map(([point, state]) => [point, hasTerm(state) ? state : base]))
  const states = [...new Set(seen.values())].filter(hasTerm)
  return {
    sorted,
    low: loaded[0]?.S.value ?? 0,
    top,
    regimes: regimesOf(sorted, seen),
    states,
    rows: sorted.map((point) => {
      const share = point.S.value / top
      return [1, share, share ** 2, ...states.map((state) => (seen.get(point) === state ? 1 : 0))]
    }),
    notes: told ? [] : [tooFew],
  }
}
