import type { Course } from '@even-watt/contract'

/** What the output did when its load changed, V RMS and s (docs/method/limits.md). */
export interface StepResponse {
  readonly before: number
  readonly after: number
  readonly lowest: number
  readonly highest: number
  /** Until it stayed within 1 % of the new level; undefined: it did not within the capture. */
  readonly back: number | undefined
  /** Hz at which it swings by over 0.5 % at the steady load afterwards. */
  readonly hunts: number | undefined
  /** s for which the output was gone after the load was released. */
  readonly blanked: number | undefined
}

const within = 0.01
const swing = 0.005
const slowest = 0.5
const quickest = 25
/** Share of the current by which a load must change to be a step. */
const changes = 0.2

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0

/**
 * Dip, overshoot, time back and hunting after the first change of the load in a course, by RMS over one cycle refreshed each
 * half cycle; a blanked output is under a tenth of the volts for over half a cycle after a release. Undefined where no load
 * changes, or nothing stands before or after it.
 */
export function stepResponse({ V_C, I_C, step, cycle }: Course): StepResponse | undefined {
  if (!V_C || !I_C || V_C.length < 12) return undefined
  const most = Math.max(...I_C)
  const first = I_C.findIndex((amps) => Math.abs(amps - (I_C[0] as number)) > changes * most)
  if (first < 2 || V_C.length - first < 8) return undefined
  const before = median(V_C.slice(0, first - 1))
  const afterwards = V_C.slice(first)
  const tail = afterwards.slice(-Math.max(5, Math.floor(afterwards.length / 4)))
  const after = median(tail)
  if (!(before > 0) || !(after > 0)) return undefined
  const released = median(I_C.slice(-tail.length)) < (I_C[0] as number)
  const lastOut = afterwards.findLastIndex((volts) => Math.abs(volts / after - 1) > within)
  const gone = afterwards.filter((volts) => volts < 0.1 * before).length * step
  return {
    before,
    after,
    lowest: Math.min(...afterwards),
    highest: Math.max(...afterwards),
    back: lastOut === afterwards.length - 1 ? undefined : (lastOut + 1) * step,
    hunts: huntsIn(tail, step, after),
    blanked: released && gone > cycle / 2 ? gone : undefined,
  }
}

/** How often a second the volts swing through their middle, where they do so by over 0.5 % and at 0.5 to 25 Hz. */
function huntsIn(tail: readonly number[], step: number, level: number): number | undefined {
  const [low, high] = [Math.min(...tail), Math.max(...tail)]
  if ((high - low) / level < swing) return undefined
  const middle = (low + high) / 2
  const crossings: number[] = []
  let above: boolean | undefined
  tail.forEach((volts, i) => {
    // Noise about the middle is no swing.
    if (Math.abs(volts - middle) < (high - low) / 8) return
    if (above !== undefined && above !== volts > middle) crossings.push(i)
    above = volts > middle
  })
  const [first = 0, last = 0] = [crossings[0], crossings.at(-1)]
  if (crossings.length < 3 || last === first) return undefined
  const hertz = (crossings.length - 1) / 2 / ((last - first) * step)
  return hertz >= slowest && hertz <= quickest ? hertz : undefined
}
