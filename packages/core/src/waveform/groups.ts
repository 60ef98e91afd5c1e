import type { Repeating } from '@even-watt/contract'
import { rounding } from './components'
import type { Window } from './windows'

/** Cycles of the window that IEC 61000-4-7 asks for: 200 ms at 50 and at 60 Hz. */
const asked: ReadonlySet<number> = new Set([10, 12])

/**
 * Distortion by harmonic groups and subgroups, and what stands between the harmonics (IEC 61000-4-7, docs/method/waveform.md),
 * as shares of the fundamental's group, subgroup and component. Lines stand 1/M of the fundamental apart, M cycles in the
 * window: those of the harmonics are the fitted components, the others of what they leave. Undefined of a window of other than
 * ten or twelve cycles, or of no fundamental.
 */
export function groupsIn(x: Float64Array, { from, basis, components }: Window): Repeating['groups'] {
  const { w, N, H } = basis
  const M = Math.round((N * w) / (2 * Math.PI))
  if (!asked.has(M) || H < 2) return undefined
  const left = residual(x, from, w, N, components)
  // Mean squares of the lines, and of the components in their places.
  const squares = Float64Array.from({ length: H * M + M / 2 + 1 }, (_, k) => {
    const h = k / M
    if (k === 0) return 0
    if (!Number.isInteger(h)) return lineOf(left, (k * w) / M)
    return h > H ? 0 : ((components.a[h - 1] as number) ** 2 + (components.b[h - 1] as number) ** 2) / 2
  })
  const at = (k: number) => squares[k] ?? 0
  const sum = (first: number, last: number) => {
    let total = 0
    for (let k = first; k <= last; k++) total += at(k)
    return total
  }
  const half = M / 2
  const group = (h: number) =>
    sum(h * M - half + 1, h * M + half - 1) + (at(h * M - half) + at(h * M + half)) / 2
  const subgroup = (h: number) => sum(h * M - 1, h * M + 1)
  const between = (h: number) => sum(h * M + 2, (h + 1) * M - 2)
  const over = (of: (h: number) => number, first: number, last: number) => {
    let total = 0
    for (let h = first; h <= last; h++) total += of(h)
    return total
  }
  const first = at(M)
  if (!(first > 0)) return undefined
  const share = (squares: number, of: number) => {
    const found = Math.sqrt(squares / of)
    return found > rounding ? found : 0
  }
  return {
    thdGroups: share(over(group, 2, H), group(1)),
    thdSubgroups: share(over(subgroup, 2, H), subgroup(1)),
    between: share(over(between, 0, H - 1), first),
  }
}

/** What a window's components leave of its samples. */
function residual(
  x: Float64Array,
  from: number,
  w: number,
  N: number,
  { dc, a, b }: Window['components'],
): Float64Array {
  const left = Float64Array.from({ length: N }, (_, n) => (x[from + n] as number) - dc)
  for (let h = 1; h <= a.length; h++) {
    const [ah, bh] = [a[h - 1] as number, b[h - 1] as number]
    const [turnCos, turnSin] = [Math.cos(h * w), Math.sin(h * w)]
    let c = 1
    let s = 0
    for (let n = 0; n < N; n++) {
      left[n] = (left[n] as number) - ah * c - bh * s
      const next = c * turnCos - s * turnSin
      s = s * turnCos + c * turnSin
      c = next
    }
  }
  return left
}

/** Mean square of the line at `w`, rad a sample (Goertzel). */
function lineOf(x: Float64Array, w: number): number {
  const twice = 2 * Math.cos(w)
  let one = 0
  let two = 0
  for (let n = 0; n < x.length; n++) {
    const now = (x[n] as number) + twice * one - two
    two = one
    one = now
  }
  return (2 * (one * one + two * two - twice * one * two)) / x.length ** 2
}
