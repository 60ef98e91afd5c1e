import type { CaptureFigures } from '@even-watt/contract'
import { cyclesOf } from './windows'

/** A sine as one end of a record holds it. */
interface Sine {
  /** rad a sample. */
  readonly w: number
  readonly a: number
  readonly b: number
  readonly dc: number
  readonly peak: number
  /** How far its samples stood off it at most: what stands further off stands out of noise and harmonics. */
  readonly off: number
}

/** Share of the peak by which a sample leaves its sine. */
const leaves = 0.25
/** Share of the peak under which nothing stands out of a sine, however still it is. */
const least = 0.002
/** Share of a record, at either end, that its sine is fitted to. */
const end = 0.2
/** An end that is itself further off its sine than this is none. */
const steady = 0.15

/** The sine of some samples, their places counted from the beginning of the record; undefined: it is none. */
function sineIn(x: Float64Array, from: number, to: number, rate: number): Sine | undefined {
  const found = cyclesOf(x.subarray(from, to), rate, 1)
  if (!found) return undefined
  const w = (2 * Math.PI * found.perSample.reduce((sum, f) => sum + f, 0)) / found.perSample.length
  // Least squares of sine, cosine and mean, by normal equations.
  const m = Array.from({ length: 3 }, () => [0, 0, 0, 0])
  for (let i = from; i < to; i++) {
    const row = [Math.sin(w * i), Math.cos(w * i), 1, x[i] as number]
    for (let j = 0; j < 3; j++)
      for (let k = 0; k < 4; k++)
        (m[j] as number[])[k] = (m[j]?.[k] ?? 0) + (row[j] as number) * (row[k] as number)
  }
  for (let j = 0; j < 3; j++) {
    const pivot = m[j]?.[j] ?? 0
    if (!(Math.abs(pivot) > 1e-12)) return undefined
    for (let i = 0; i < 3; i++) {
      if (i === j) continue
      const factor = (m[i]?.[j] ?? 0) / pivot
      for (let k = j; k < 4; k++) (m[i] as number[])[k] = (m[i]?.[k] ?? 0) - factor * (m[j]?.[k] ?? 0)
    }
  }
  const [a, b, dc] = m.map((row, j) => (row[3] ?? 0) / (row[j] ?? 1)) as [number, number, number]
  const sine = { w, a, b, dc, peak: Math.hypot(a, b) }
  let off = 0
  for (let i = from; i < to; i++) {
    off = Math.max(off, Math.abs((x[i] as number) - at(sine, i)))
    if (off > steady * sine.peak) return undefined
  }
  return { ...sine, off }
}

const at = ({ w, a, b, dc }: Pick<Sine, 'w' | 'a' | 'b' | 'dc'>, i: number) =>
  a * Math.sin(w * i) + b * Math.cos(w * i) + dc

/**
 * A changeover in samples of a sine: from where they leave the sine of the beginning, by over 25 % of its peak, put back to the
 * first of them that stood out of its noise, to the first from which they stay within that of the sine at the end for half a
 * cycle, s (docs/method/modes.md). Undefined where the
 * record does not begin and end in a sine, or nothing leaves it.
 */
export function transferIn(x: Float64Array, rate: number): CaptureFigures['transfer'] {
  const n = x.length
  const length = Math.floor(n * end)
  const before = sineIn(x, 0, length, rate)
  const after = before && sineIn(x, n - length, n, rate)
  if (!before || !after || after.peak < 0.5 * before.peak) return undefined
  let from = length
  while (from < n && Math.abs((x[from] as number) - at(before, from)) <= leaves * before.peak) from++
  if (from >= n) return undefined
  const noise = 2 * before.off + least * before.peak
  let began = from
  while (began > length && Math.abs((x[began - 1] as number) - at(before, began - 1)) > noise) began--
  const half = Math.ceil(Math.PI / after.w)
  // The first moment from which half a cycle stays within; what leaves it later is another event.
  let run = 0
  for (let i = from; i < n; i++) {
    run = Math.abs((x[i] as number) - at(after, i)) <= leaves * after.peak ? run + 1 : 0
    if (run >= half) {
      const since = i - run + 1
      return since > from ? { from: began / rate, seconds: (since - began) / rate } : undefined
    }
  }
  return undefined
}
