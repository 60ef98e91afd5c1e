import { integrate, type Point } from './integrate'

/** A stretch of a run over which something was carried. */
export interface CarriedStretch {
  /** s of its run. */
  readonly from: number
  readonly to: number
  /** The least that stood within it. */
  readonly least: number
  /** Looked at closely enough for nothing to have happened between: no gap over a fifth of it. */
  readonly watched: boolean
}

/** Share of a time that may lack between two looks, and by which hands are early at the end of it. */
const gapShare = 0.2
const early = 0.02
/** s over which a quick logger is averaged: less is no derating. */
const meanOver = 10

/** Points of a quick logger as means of ten seconds, each at its middle; slower ones as they are. */
function evened(points: readonly Point[]): readonly Point[] {
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last || (last.at - first.at) / (points.length - 1) > meanOver / 2) return points
  const means: Point[] = []
  let begins = 0
  for (let i = 1; i < points.length; i++) {
    const [from, here] = [points[begins] as Point, points[i] as Point]
    if (here.at - from.at < meanOver && i < points.length - 1) continue
    const within = points.slice(begins, i + 1)
    const { value, hours } = integrate(within)
    if (hours > 0) means.push({ at: from.at, value: value / hours })
    begins = i
  }
  const end = means.at(-1)
  return end && end.at < last.at ? [...means, { at: last.at, value: end.value }] : means
}

/**
 * Carried for T: over all stretches at least that long, the greatest of the least that stood within them (docs/method/logs.md).
 * What was lowered afterwards costs nothing. Points in order of time, s; a stretch that was watched closely counts before one
 * that was not, unless something spans the gaps. Undefined: no stretch is that long.
 */
export function carriedFor(read: readonly Point[], T: number, spanned = false): CarriedStretch | undefined {
  const points = evened(read)
  let best: CarriedStretch | undefined
  for (const [i, { at: from }] of points.entries()) {
    let [least, gap] = [Infinity, 0]
    for (let to = i; to < points.length; to++) {
      const { at, value } = points[to] as Point
      least = Math.min(least, value)
      if (to > i) gap = Math.max(gap, at - (points[to - 1] as Point).at)
      const length = at - from
      // What is no better than the best only falls from here on.
      if (best?.watched && least <= best.least) break
      if (length < T * (1 - early)) continue
      const watched = spanned || gap <= gapShare * length * (1 + early)
      if (!best || (watched && !best.watched) || (watched === best.watched && least > best.least))
        best = { from, to: at, least, watched }
    }
  }
  return best
}
