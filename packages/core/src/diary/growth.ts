import type { DiaryLine } from '@even-watt/contract'

const day = 86_400_000

/** A figure of a unit's life on a day. */
interface Grown {
  /** Days since the first line of the diary, of any kind. */
  readonly days: number
  readonly on: string
  readonly value: number
}

export interface Growth {
  readonly points: readonly Grown[]
  /** Days on which the figure stands below an earlier one, though it only grows. */
  readonly shrinks: readonly string[]
  /** Per day from the first to the last point; undefined: there are not two days. */
  readonly aDay: number | undefined
}

/**
 * How cycles or watt-hours grew over a unit's life, in order of the days; the order of the lines does not matter. Lines
 * without a figure are left out.
 */
export function growth(lines: readonly DiaryLine[], what: 'cycles' | 'energy'): Growth {
  const first = Math.min(...lines.map(({ on }) => Date.parse(on)))
  const points = lines
    .flatMap((line) =>
      line.what === what && line.value !== undefined
        ? [{ days: Math.round((Date.parse(line.on) - first) / day), on: line.on, value: line.value }]
        : [],
    )
    .sort((a, b) => a.days - b.days || a.value - b.value)
  const [begin, end] = [points[0], points.at(-1)]
  const shrinks = points
    .filter(({ value }, i) => points.slice(0, i).some((before) => before.value > value))
    .map(({ on }) => on)
  return {
    points,
    shrinks,
    aDay:
      begin && end && end.days > begin.days ? (end.value - begin.value) / (end.days - begin.days) : undefined,
  }
}
