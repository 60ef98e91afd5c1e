import { mostCourse, surgeWindows } from './limits'
import type { Course } from '@even-watt/contract'
import { risingCrossings } from './crossings'
import { cycleStarts, highestMean, summed } from './running'
import type { Sampled, SampledChannel } from './samples'

/** s under which nothing is told of time. */
const shortest = 0.1
/** s: a cycle where none is seen, as of a capture of the DC side alone. */
const usualCycle = 0.02

const rounded = (x: number) => Number(x.toPrecision(5))

/**
 * How volts, amperes and watts ran: true RMS and mean watts over one cycle, refreshed each half cycle (IEC 61000-4-30), the
 * DC side as means over the same cycles; and the highest mean watts over each window of the surge-duration curve, from sums
 * over the samples themselves (docs/method/surge.md). Undefined for what is shorter than a tenth of a second or uneven in time.
 */
export function courseOf({ dt, times, channels }: Sampled): Course | undefined {
  const count = channels[0]?.x.length ?? 0
  if (times || count * dt < shortest) return undefined
  const cycle = cycleOf(channels, dt)
  const starts = cycleStarts(count, cycle)
  if (starts.length < 2) return undefined
  const find = (quantity: SampledChannel['quantity']) => channels.find((one) => one.quantity === quantity)?.x
  const [v, i, b, d] = [find('V_C'), find('I_C'), find('V_B'), find('I')]
  const means = (at: (k: number) => number) => {
    const upTo = summed(count, at)
    return { upTo, values: starts.map((from) => (upTo(from + cycle) - upTo(from)) / cycle) }
  }
  const rms = (x: Float64Array | undefined) =>
    x && means((k) => (x[k] as number) ** 2).values.map((square) => Math.sqrt(Math.max(0, square)))
  const mean = (x: Float64Array | undefined) => x && means((k) => x[k] as number).values
  const volts = rms(v)
  const watts = v && i && means((k) => (v[k] as number) * (i[k] as number))
  const each = Math.ceil(starts.length / mostCourse)
  const merged = (values: readonly number[] | undefined, worst: (values: readonly number[]) => number) =>
    values && gathered(values, each).map((group) => rounded(worst(group)))
  const least = (values: readonly number[]) => Math.min(...values)
  const most = (values: readonly number[]) => Math.max(...values)
  const held = {
    V_C: merged(volts, least),
    I_C: merged(rms(i), most),
    P: merged(watts?.values, (values) => values.reduce((sum, one) => sum + one, 0) / values.length),
    V_B: merged(mean(b), least),
    I: merged(mean(d), most),
  }
  const lowestIn = (from: number, width: number) =>
    (volts ?? []).reduce((low, one, k) => {
      const at = starts[k] as number
      return at + cycle > from && at < from + width ? Math.min(low, one) : low
    }, Infinity)
  const windows = !watts
    ? []
    : [cycle * dt, ...surgeWindows].flatMap((seconds) => {
        const best = highestMean(watts.upTo, count, seconds / dt)
        if (!best) return []
        const lowest = lowestIn(best.at, seconds / dt)
        return Number.isFinite(lowest)
          ? [{ seconds: rounded(seconds), W: rounded(best.mean), lowest: rounded(lowest) }]
          : []
      })
  return {
    from: rounded((cycle / 2) * dt),
    step: rounded((cycle / 2) * each * dt),
    cycle: rounded(cycle * dt),
    ...Object.fromEntries(Object.entries(held).filter(([, values]) => values !== undefined)),
    windows,
  }
}

/** Samples of one cycle: the median between risings, for a start or a trip may lose some of them. */
function cycleOf(channels: readonly SampledChannel[], dt: number): number {
  const ac =
    channels.find(({ quantity }) => quantity === 'V_C') ??
    channels.find(({ quantity }) => quantity.endsWith('_C'))
  const crossings = ac ? risingCrossings(ac.x) : []
  const gaps = crossings
    .slice(1)
    .map((at, i) => at - (crossings[i] as number))
    .sort((a, b) => a - b)
  return gaps[Math.floor(gaps.length / 2)] ?? usualCycle / dt
}

const gathered = (values: readonly number[], each: number): (readonly number[])[] =>
  Array.from({ length: Math.ceil(values.length / each) }, (_, i) => values.slice(i * each, (i + 1) * each))
