import { oncePer } from '../oncePer'
import { coverageOf, studentBelow } from './student'
import { repeatedIn } from './sources'
import { standard, type Uncertain } from './uncertain'

/**
 * Effective degrees of freedom of a value (Welch–Satterthwaite; JCGM 100, G.4.2; docs/method/meters.md). What rests on one
 * pooled standard deviation is summed first and has its degrees; specifications and methods have infinitely many. Infinity
 * where nothing was repeated.
 */
export function freedomOf({ sources }: Uncertain): number {
  let all = 0
  let pools: Map<string, { squares: number; freedom: number }> | undefined
  for (const [source, sensitivity] of sources) {
    const square = sensitivity ** 2
    all += square
    const repeated = repeatedIn(source)
    if (!repeated || square === 0) continue
    pools ??= new Map()
    const pool = pools.get(repeated.pool)
    if (pool) pool.squares += square
    else pools.set(repeated.pool, { squares: square, freedom: repeated.freedom })
  }
  if (!pools?.size) return Infinity
  let sum = 0
  for (const { squares, freedom } of pools.values()) sum += squares ** 2 / freedom
  return all ** 2 / sum
}

const factors = new Map<number, number>()

/** Degrees to a hundredth: a factor is worked out once for each. */
function factorOf(freedom: number): number {
  if (freedom === Infinity) return usualCoverage
  const rounded = Number(freedom.toPrecision(3))
  const known = factors.get(rounded)
  if (known !== undefined) return known
  const factor = coverageOf(rounded)
  factors.set(rounded, factor)
  return factor
}

/** The factor k of most expanded uncertainties: of all that rest on no repeats. */
export const usualCoverage = 2

/** The factor k of a value’s expanded uncertainty, by its degrees of freedom. */
export const coverage = (x: Uncertain): number => factorOf(freedomOf(x))

/** Expanded uncertainty at 95.45 %: U = k·u, with k = 2 unless the degrees of freedom are few. */
export const expanded = oncePer((x: Uncertain): number => coverage(x) * standard(x))

/** Probability that what is uncertain lies under a limit, in the unit of x; one without uncertainty surely does or does not. */
export function probabilityUnder(x: Uncertain, limit: number): number {
  const u = standard(x)
  if (!(u > 0)) return x.value < limit ? 1 : x.value > limit ? 0 : 0.5
  return studentBelow((limit - x.value) / u, freedomOf(x))
}
