// Taken out of its global once: it is asked for at every sample.
const { floor, min } = Math

/** Sum of something over samples up to any instant, in samples; between two it grows evenly. */
export type Upto = (instant: number) => number

/** Adds up `at(i)` over `count` samples once, so that any stretch of them is a difference of two. */
export function summed(count: number, at: (i: number) => number): Upto {
  const sums = new Float64Array(count + 1)
  for (let i = 0; i < count; i++) sums[i + 1] = (sums[i] as number) + at(i)
  return (instant) => {
    const i = min(count - 1, floor(instant))
    return (sums[i] as number) + (instant - i) * ((sums[i + 1] as number) - (sums[i] as number))
  }
}

/** Where each cycle begins that is looked at, in samples: a new one each half cycle, as many as fit whole. */
export function cycleStarts(count: number, cycle: number): number[] {
  const most = Math.max(0, Math.floor((count - cycle) / (cycle / 2)) + 1)
  return Array.from({ length: most }, (_, i) => (i * cycle) / 2).filter((at) => at + cycle <= count)
}

/** The highest mean over a stretch of `width` samples, and where it begins; undefined: the samples are fewer. */
export function highestMean(
  upTo: Upto,
  count: number,
  width: number,
): { mean: number; at: number } | undefined {
  if (!(width > 0) || width > count) return undefined
  let best = { mean: -Infinity, at: 0 }
  for (let at = 0; at + width <= count; at++) {
    const mean = (upTo(at + width) - upTo(at)) / width
    if (mean > best.mean) best = { mean, at }
  }
  return best
}
