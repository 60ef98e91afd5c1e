import { levelsOf } from './basics'

/** Where a wave stands still at ±V. */
export interface Plateau {
  /** V in the middle of the plateau. */
  readonly height: number
  /** Share of the half cycle spent there. */
  readonly share: number
  /** (start − end) / start between 10 and 90 % of its width; negative: it rises. */
  readonly droop: number
}

/** A plateau's line may miss its points by this share of the height, and still be one. */
const straight = 0.05
/** The slope that a plateau may have over its width, and still be one. */
const steepest = 0.6

/**
 * The plateau of a mean cycle about its mean, from where it is above half its height; undefined where it is round. Both half
 * waves must have one, and the mean of the two is given (docs/method/waveform.md).
 */
export function plateauOf(cycle: Float64Array): Plateau | undefined {
  const upper = oneSide(cycle)
  const lower = upper && oneSide(cycle.map((v) => -v))
  return (
    lower && {
      height: (upper.height + lower.height) / 2,
      share: (upper.share + lower.share) / 2,
      droop: (upper.droop + lower.droop) / 2,
    }
  )
}

function oneSide(cycle: Float64Array): Plateau | undefined {
  const n = cycle.length
  const [top = 0] = levelsOf(cycle, [0.98])
  if (!(top > 0)) return undefined
  // Begins where it rises through half the height, and goes round.
  const at = (i: number) => cycle[(i + n) % n] as number
  const widthFrom = (first: number) => {
    let width = 0
    while (width < n && at(first + width) >= top / 2) width++
    return width
  }
  // Where few samples lie on an edge it may waver: the plateau is the longest run.
  const [first, width] = [...cycle.keys()]
    .filter((i) => at(i - 1) < top / 2 && at(i) >= top / 2)
    .map((i) => [i, widthFrom(i)] as const)
    .reduce((longest, run) => (run[1] > longest[1] ? run : longest), [-1, 0] as const)
  if (first < 0) return undefined
  const edge = (i: number) => (at(i) - top / 2) / (at(i) - at(i - 1))
  const exact =
    width + edge(first) - 1 + (at(first + width - 1) - top / 2) / (at(first + width - 1) - at(first + width))
  const [from, to] = [Math.ceil(width * 0.1), Math.floor(width * 0.9)]
  if (to - from < 4) return undefined
  const points = Array.from({ length: to - from }, (_, i) => at(first + from + i))
  const middle = (points.length - 1) / 2
  const height = points.reduce((sum, v) => sum + v, 0) / points.length
  const run = points.reduce((sum, _, i) => sum + (i - middle) ** 2, 0)
  const slope = points.reduce((sum, v, i) => sum + (i - middle) * v, 0) / run
  const misfit = Math.sqrt(
    points.reduce((sum, v, i) => sum + (v - height - slope * (i - middle)) ** 2, 0) / points.length,
  )
  const start = height - slope * middle
  const fall = -slope * (points.length - 1)
  if (misfit > straight * height || Math.abs(fall) > steepest * start) return undefined
  return { height, share: exact / (n / 2), droop: fall / start }
}
