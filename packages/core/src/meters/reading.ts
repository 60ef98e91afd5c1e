import type { MeterRange, Readable } from '@even-watt/contract'
import { ownSource, repeatSource, specificationSource } from './sources'
import type { Uncertain } from './uncertain'

/** Half-width of the specification ±(percent·|x| + counts·count), in the unit of x (docs/method/meters.md). */
export const halfWidth = (range: Pick<MeterRange, 'percent' | 'counts' | 'count'>, x: number): number =>
  (range.percent / 100) * Math.abs(x) + range.counts * range.count

/** Standard uncertainty of a rectangular distribution of that half-width. */
export const rectangular = (half: number): number => half / Math.sqrt(3)

/** Standard uncertainty left by rounding to one count. */
export const rounding = (count: number): number => count / Math.sqrt(12)

/** Standard uncertainty of a last digit that flickered, or had not settled, while it was read only once. */
export const flicker = (count: number): number => count / 2

/**
 * The range an autoranging meter takes for x: the smallest that reads the quantity and holds |x|;
 * the largest when none holds it. Undefined when the meter does not read the quantity.
 */
export function rangeFor<R extends Pick<MeterRange, 'reads' | 'upTo'>>(
  ranges: readonly R[],
  reads: Readable,
  x: number,
): R | undefined {
  let holds: R | undefined
  let largest: R | undefined
  for (const range of ranges) {
    if (range.reads !== reads) continue
    if (!largest || range.upTo > largest.upTo) largest = range
    if (Math.abs(x) <= range.upTo && (!holds || range.upTo < holds.upTo)) holds = range
  }
  return holds ?? largest
}

export interface Repeats {
  /** The values read on one range, at least one. */
  readonly values: readonly number[]
  /** Standard deviation of a single reading, pooled over steps; 0 when nothing was repeated. */
  readonly spread: number
  /** Degrees of freedom of that, and the pool that it was taken from; absent: it is assumed and not from repeats. */
  readonly pooled?: { readonly name: string; readonly freedom: number }
}

/**
 * Mean of repeated readings with its uncertainty: the specification as one factor common to the meter and
 * range, and an independent part count/√12 ⊕ s/√N (docs/method/meters.md).
 */
export function measured(
  repeats: Repeats,
  meter: string,
  range: MeterRange,
  what: string,
  where: string,
): Uncertain {
  const n = repeats.values.length
  const mean = repeats.values.reduce((sum, value) => sum + value, 0) / n
  const half = repeats.values.reduce((sum, value) => sum + halfWidth(range, value), 0) / n
  const spread = repeats.spread / Math.sqrt(n)
  const { pooled } = repeats
  const own: readonly (readonly [string, number])[] = pooled
    ? [
        [ownSource(what, where), rounding(range.count)],
        [repeatSource(what, where, pooled.name, pooled.freedom), spread],
      ]
    : [[ownSource(what, where), Math.hypot(rounding(range.count), spread)]]
  return {
    value: mean,
    sources: new Map([[specificationSource(meter, range.id), rectangular(half)], ...own]),
  }
}

/** Squares about their own means and degrees of freedom of some groups of repeats. */
export interface Scatter {
  readonly squares: number
  readonly freedom: number
}

/** What one group of repeats says of their scatter; a group of one tells nothing. */
export function scatterOf(group: readonly number[]): Scatter {
  if (group.length < 2) return { squares: 0, freedom: 0 }
  const mean = group.reduce((sum, x) => sum + x, 0) / group.length
  return {
    squares: group.reduce((sum, x) => sum + (x - mean) ** 2, 0),
    freedom: group.length - 1,
  }
}

/** A standard deviation of single readings, and the degrees of freedom it rests on. */
export interface Pooled {
  readonly spread: number
  readonly freedom: number
}

/**
 * Standard deviation of a single reading, pooled over groups of repeats: √(Σ Σ(x − x̄)² / Σ(n − 1)). With no repeats
 * at all the result is 0.
 */
export function pooledSpread(scatters: Iterable<Scatter>): Pooled {
  let squares = 0
  let freedom = 0
  for (const one of scatters) {
    squares += one.squares
    freedom += one.freedom
  }
  return { spread: freedom ? Math.sqrt(squares / freedom) : 0, freedom }
}
