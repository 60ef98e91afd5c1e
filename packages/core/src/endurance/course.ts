/** A value at a time, s. */
interface Point {
  readonly at: number
  readonly value: number
}

/** What values did over a run: at first, settled, least, and whether they moved or only scattered. */
export interface Course {
  readonly first: number
  /** Mean of the last third. */
  readonly settled: number
  readonly mean: number
  /** The value in the middle: a last one that fell does not move it. */
  readonly middle: number
  readonly least: Point
  /** Settled over the first third, less 1. */
  readonly moved: number
  /** The move is more than twice what its scatter makes of it. */
  readonly trend: boolean
}

const mean = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length

/**
 * The course of at least three values. A move is a trend where the means of the first and the last third differ by more than
 * twice the standard error that their scatter about a straight line leaves (docs/method/endurance.md). Undefined: fewer.
 */
export function courseOf(points: readonly Point[]): Course | undefined {
  const [first] = points
  if (!first || points.length < 3) return undefined
  const third = Math.max(1, Math.floor(points.length / 3))
  const values = points.map(({ value }) => value)
  const [early, late] = [mean(values.slice(0, third)), mean(values.slice(-third))]
  const error = Math.sqrt((2 * scatterAboutLine(points)) / third)
  return {
    first: first.value,
    settled: late,
    mean: mean(values),
    middle: values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? first.value,
    least: points.reduce((least, point) => (point.value < least.value ? point : least)),
    moved: early === 0 ? 0 : late / early - 1,
    trend: Math.abs(late - early) > 2 * error && late !== early,
  }
}

/** Mean square about the straight line through all points. */
function scatterAboutLine(points: readonly Point[]): number {
  const [t, y] = [mean(points.map(({ at }) => at)), mean(points.map(({ value }) => value))]
  const spread = points.reduce((sum, { at }) => sum + (at - t) ** 2, 0)
  const slope =
    spread > 0 ? points.reduce((sum, { at, value }) => sum + (at - t) * (value - y), 0) / spread : 0
  const squares = points.reduce((sum, { at, value }) => sum + (value - y - slope * (at - t)) ** 2, 0)
  return points.length > 2 ? squares / (points.length - 2) : 0
}
