import type { Point } from './integrate'
import type { LoggedSeries } from './series'

/** What was seen at a moment of a log. */
export interface LogEvent {
  /** s from its beginning. */
  readonly at: number
  readonly what: string
  readonly entry: string
  readonly note?: string | undefined
  /** Which alarm came with it. */
  readonly alarm?: string | undefined
}

/** A stretch in which it ran, s from the beginning of its log. */
export interface Segment {
  readonly from: number
  readonly to: number
}

/** Watts under this share of their median are none. */
const off = 0.05

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0

/** Changes between running and not, as watts over time tell them. */
function seenIn(points: readonly Point[]): { at: number; on: boolean }[] {
  const half = off * median(points.map(({ value }) => Math.abs(value)))
  const changes: { at: number; on: boolean }[] = []
  const [first] = points
  // A logger that was left on from before had nothing on it yet.
  if (first && Math.abs(first.value) <= half) changes.push({ at: 0, on: false })
  points.forEach(({ at, value }, i) => {
    const on = Math.abs(value) > half
    const before = points[i - 1]
    if (!before || Math.abs(before.value) > half === on) return
    changes.push({ at: on ? at : (before.at + at) / 2, on })
  })
  return changes
}

/**
 * When a log ran: from its beginning to its end, without what lies between “stopped” and “resumed”, as noted or, where
 * nothing was noted, as the watts at the outlet tell.
 */
export function segmentsOf(
  series: readonly LoggedSeries[],
  events: readonly LogEvent[],
  seconds: number,
): Segment[] {
  const noted = events
    .filter(({ what }) => what === 'stopped' || what === 'resumed')
    .map(({ at, what }) => ({ at, on: what === 'resumed' }))
  const watts = series
    .filter(({ quantity }) => quantity === 'P_C' || quantity === 'P_B')
    .sort((a, b) => b.points.length - a.points.length)[0]
  const changes = noted.length ? noted : watts && watts.points.length > 4 ? seenIn(watts.points) : []
  const segments: Segment[] = []
  let from: number | undefined = 0
  for (const { at, on } of changes) {
    if (on) from ??= at
    else if (from !== undefined) {
      if (at > from) segments.push({ from, to: at })
      from = undefined
    }
  }
  if (from !== undefined && seconds > from) segments.push({ from, to: seconds })
  return segments
}

/** Whether heat was behind an event, as its alarm or its words say. */
export const byHeat = ({ alarm, note = '' }: LogEvent): boolean =>
  alarm === 'heat' || /\b(heat|hot|overheat(ed|ing)?|over.?temperature|too warm)\b/i.test(note)
