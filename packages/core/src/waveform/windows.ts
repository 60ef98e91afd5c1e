import { Basis, type Components } from './basis'
import { phaseOf } from './components'
import { risingCrossings } from './crossings'
import { sharpen, wrapped } from './frequency'
import { harmonicsAt } from './samples'

/** Whole cycles of a record that are looked at together, and what they hold. */
export interface Window {
  readonly from: number
  readonly basis: Basis
  readonly components: Components
}

/** How the cycles of a record lie. */
export interface Cycles {
  readonly windows: readonly Window[]
  readonly used: number
  /** Instants in which the cycles begin, in samples. */
  readonly crossings: readonly number[]
  /** Cycles a sample: of each window, and of the slowest and quickest three cycles in a row. */
  readonly perSample: readonly number[]
  readonly slowest: number
  readonly quickest: number
  /** Standard deviation by which noise moves a crossing, in cycles. */
  readonly jitter: number
}

/** Cycles looked at together: 200 ms of a mains wave (docs/method/waveform.md). */
const together = (frequency: number): number => (frequency > 55 && frequency < 70 ? 12 : 10)

/** Cycles that differ by more than this share are each taken by itself. */
const steady = 0.006

/** A window whose phase slips by more, rad, has a frequency of its own. */
const slip = 0.02

/** Fewer samples a cycle tell nothing of a wave. */
const fewest = 4

/**
 * Finds the whole cycles of a wave by the instants in which it rises, in windows of ten cycles (twelve at 60 Hz), or all where
 * there are fewer. The frequency is sharpened in the first of them, and again where a window slips against it. Undefined where
 * the record does not hold two whole cycles. Of what is a sine the first harmonic is enough.
 */
export function cyclesOf(x: Float64Array, rate: number, most = Infinity): Cycles | undefined {
  const crossings = risingCrossings(x)
  const [first] = crossings
  const last = crossings.at(-1)
  const count = crossings.length - 1
  if (first === undefined || last === undefined || count < 2) return undefined
  const period = (last - first) / count
  if (period < fewest) return undefined
  const three = crossings.slice(3).map((instant, i) => 3 / (instant - (crossings[i] as number)))
  const each = Math.min(count, together(rate / period))
  const N = Math.round(each * period)
  const H = Math.min(most, Math.max(1, harmonicsAt(rate / period, rate)))
  const windows: Window[] = []
  const perSample: number[] = []
  let basis: Basis | undefined
  for (let at = 0; at + each <= count; at += each) {
    const from = Math.min(Math.ceil(crossings[at] as number), x.length - N)
    const own = (rough: number) => new Basis(sharpen(x, rough, H, from, N), H, N)
    basis ??= own((2 * Math.PI) / period)
    let components = basis.components(x, from)
    const before = windows.at(-1)
    if (components && before) {
      const slipped = wrapped(
        phaseOf(components) - phaseOf(before.components) - basis.w * (from - before.from),
      )
      if (Math.abs(slipped) > slip) {
        basis = own(basis.w + slipped / N)
        components = basis.components(x, from)
        perSample.push(basis.w / (2 * Math.PI))
      } else perSample.push((basis.w + slipped / (from - before.from)) / (2 * Math.PI))
    } else perSample.push(basis.w / (2 * Math.PI))
    if (!components) return undefined
    windows.push({ from, basis, components })
  }
  const least = (pick: (a: number, b: number) => number) =>
    three.reduce((a, b) => pick(a, b), three[0] ?? 1 / period)
  return {
    windows,
    used: windows.length * each,
    crossings,
    perSample,
    slowest: least(Math.min),
    quickest: least(Math.max),
    jitter: jitterOf(crossings) / period,
  }
}

/** How far single crossings lie off, by their second differences: a frequency that moves slowly hardly shows in them. */
function jitterOf(crossings: readonly number[]): number {
  const bends = crossings
    .slice(2)
    .map((instant, i) => instant - 2 * (crossings[i + 1] as number) + (crossings[i] as number))
  return bends.length ? Math.sqrt(bends.reduce((sum, bend) => sum + bend ** 2, 0) / bends.length / 6) : 0
}

/**
 * Whether the cycles differ so much in length that one frequency does not fit a window of them, beyond what noise makes of
 * the longest and the shortest of many.
 */
export const wanders = ({ slowest, quickest, jitter }: Cycles): boolean =>
  quickest / slowest - 1 > steady + ((8 * Math.SQRT2) / 3) * jitter
