import type { Stretch, TimedPiece } from '@even-watt/core'
import { coordinate } from '../ui/coordinate'

/** Heights of the picture, px, from its top. */
export const rows = {
  days: 14,
  blocks: { top: 22, height: 34 },
  charge: { top: 92, height: 84 },
  watts: { top: 206, height: 74 },
  axis: 296,
  height: 310,
} as const
const left = 46
const right = 12
/** Px that a stretch of hours without work takes, however long. */
const gapWidth = 30
const shortGap = 5 * 60_000
const hour = 3_600_000

interface Span {
  readonly from: number
  readonly to: number
  readonly gap: boolean
}

export interface DrawnStretch {
  readonly stretch: Stretch
  readonly index: number
  readonly x: number
  readonly width: number
}

export interface Picture {
  readonly width: number
  readonly left: number
  readonly right: number
  readonly x: (moment: number) => number
  readonly stretches: readonly DrawnStretch[]
  /** Where nothing is done, or the bank is charged overnight. */
  readonly gaps: readonly { readonly x: number; readonly width: number }[]
  /** Moments with a mark on the axis, far enough apart to be read. */
  readonly ticks: readonly number[]
  readonly charge: string
  /** One closed shape for each piece with the unit on. */
  readonly watts: readonly { readonly path: string; readonly piece: TimedPiece }[]
  readonly mostWatts: number
}

const isNight = ({ part }: Pick<Stretch, 'part'>) => part === 'overnight'

/** Working time and gaps in turn, in order. */
function spansOf(placed: readonly Stretch[]): Span[] {
  const spans: Span[] = []
  for (const stretch of placed) {
    const { from, to } = stretch
    const last = spans.at(-1)
    const night = isNight(stretch)
    if (last && from - last.to > shortGap) spans.push({ from: last.to, to: from, gap: true })
    const before = spans.at(-1)
    if (before && before.gap === night) spans[spans.length - 1] = { ...before, to }
    else spans.push({ from: before?.to ?? from, to, gap: night })
  }
  return spans
}

/** A round figure not below the given one, for the top of an axis. */
function roundUp(x: number): number {
  const unit = 10 ** Math.floor(Math.log10(Math.max(x, 1)))
  return [1, 1.5, 2, 3, 4, 5, 6, 8, 10].map((n) => n * unit).find((n) => n >= x) ?? x
}

/** Time from left to right, working hours to scale, nights and long waits cut short; state of charge and watts under it. */
export function pictureOf(placed: readonly Stretch[], available: number): Picture {
  const spans = spansOf(placed)
  const work = spans.reduce((sum, { from, to, gap }) => sum + (gap ? 0 : to - from), 0)
  const gaps = spans.filter(({ gap }) => gap).length
  const width = Math.max(available, left + right + gaps * gapWidth + 300)
  const scale = (width - left - right - gaps * gapWidth) / Math.max(work, 1)
  let at: number = left
  const laid = spans.map((span) => {
    const start = at
    at += span.gap ? gapWidth : (span.to - span.from) * scale
    return { ...span, x: start, width: at - start }
  })
  const x = (moment: number): number => {
    const span = laid.find(({ to }) => moment <= to) ?? laid.at(-1)
    if (!span) return left
    const share = span.to > span.from ? (moment - span.from) / (span.to - span.from) : 0
    return span.x + Math.min(1, Math.max(0, share)) * span.width
  }
  const mostWatts = roundUp(
    Math.max(1, ...placed.flatMap(({ pieces }) => pieces.map(({ watts }) => watts ?? 0))),
  )
  const point = (moment: number, charge: number) =>
    `${coordinate(x(moment))},${coordinate(rows.charge.top + (1 - charge) * rows.charge.height)}`
  const pieces = placed.flatMap((stretch) => stretch.pieces)
  return {
    width,
    left,
    right: width - right,
    x,
    mostWatts,
    stretches: placed.map((stretch, index) => {
      const start = x(stretch.from)
      return { stretch, index, x: start, width: Math.max(2, x(stretch.to) - start) }
    }),
    gaps: laid.filter(({ gap }) => gap).map((span) => ({ x: span.x, width: span.width })),
    ticks: ticksOf(laid, scale),
    charge: pieces
      .flatMap(({ from, to, charge }) => [point(from, charge[0]), point(to, charge[1])])
      .join(' '),
    watts: pieces.flatMap((piece) => {
      if (piece.watts === undefined) return []
      const floor = rows.watts.top + rows.watts.height
      const top = floor - Math.max(1.5, (piece.watts / mostWatts) * rows.watts.height)
      const [a, b] = [coordinate(x(piece.from)), coordinate(x(piece.to))]
      return [{ piece, path: `M${a},${floor}V${coordinate(top)}H${b}V${floor}Z` }]
    }),
  }
}

const leastBetween = 44

function ticksOf(spans: readonly (Span & { x: number; width: number })[], scale: number): number[] {
  const step =
    [0.25, 0.5, 1, 2, 3, 6].map((n) => n * hour).find((ms) => ms * scale >= leastBetween) ?? 12 * hour
  return spans
    .filter(({ gap }) => !gap)
    .flatMap(({ from, to }) => {
      const first = Math.ceil((from + 1) / step) * step
      const count = Math.max(0, Math.floor((to - first) / step) + 1)
      const inner = Array.from({ length: count }, (_, i) => first + i * step)
      return [from, ...inner.filter((tick) => (tick - from) * scale >= leastBetween)]
    })
}

/** Which place among the blocks a pointer at x means. */
export const placeAt = (picture: Picture, x: number): number =>
  new Set(
    picture.stretches
      .filter(({ stretch, x: start, width }) => stretch.part === undefined && start + width / 2 < x)
      .map(({ stretch }) => stretch.block),
  ).size
