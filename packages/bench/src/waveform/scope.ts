import type { Random } from '../random'
import type { Wave } from './outlet'

const { round, max, min } = Math

/** A scope or sound card with the errors it was born with. */
export interface Scope {
  readonly name: string
  readonly bits: number
  /** Samples a second. */
  readonly rate: number
  /** Amplitude specification with its probe, %, and how far this one is off, of ± that. */
  readonly percent: number
  readonly gain: number
  /** Of its range, a share. */
  readonly offset: number
  /** In steps of its converter. */
  readonly noise: number
  /** By how much the second channel is late, s. */
  readonly skew: number
}

/** Ranges that can be set: 1, 2, 5 times a power of ten. */
function rangeOver(peak: number): number {
  const power = 10 ** Math.floor(Math.log10(peak))
  return ([1, 2, 5, 10].find((step) => step * power >= 1.08 * peak) ?? 20) * power
}

/** How the phase of a source runs with time: turns after so many seconds. */
export type Turning = (seconds: number) => number

/** At one frequency, from some place in the cycle. */
export const steadily =
  (frequency: number, start = 0): Turning =>
  (seconds) =>
    start + frequency * seconds

/** One channel as the scope reads it: late, off, noisy, in steps of its converter, cut off at its range. */
export function sample(
  scope: Scope,
  wave: Wave,
  turning: Turning,
  { seconds, random, channel = 0 }: { seconds: number; random: Random; channel?: number },
): Float64Array {
  let peak = 1e-9
  for (let i = 0; i < 400; i++) peak = Math.max(peak, Math.abs(wave(i / 400)))
  const late = channel * scope.skew
  return digitised(scope, (t) => wave(turning(t - late)), { seconds, peak, random })
}

/** Anything that runs in time, as the converter of a scope reads it on the range that holds its peak. */
export function digitised(
  scope: Scope,
  truth: (seconds: number) => number,
  { seconds, peak, random }: { seconds: number; peak: number; random: Random },
): Float64Array {
  const range = rangeOver(peak)
  const step = range / 2 ** (scope.bits - 1)
  const factor = 1 + (scope.gain * scope.percent) / 100
  const last = 2 ** (scope.bits - 1)
  return Float64Array.from({ length: Math.round(scope.rate * seconds) }, (_, i) => {
    const code = round(
      (truth(i / scope.rate) * factor + scope.offset * range) / step + scope.noise * random.normal(),
    )
    return step * max(-last, min(last - 1, code))
  })
}
