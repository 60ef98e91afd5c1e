import { combine, type Uncertain } from './uncertain'

/** Form factor of a sine, by which an average-responding meter multiplies: π/(2√2), about 1.1107. */
export const formFactor = Math.PI / (2 * Math.SQRT2)

/**
 * What an average-responding meter shows on a stepped wave, relative to true RMS, minus one:
 * 1.1107·√δ − 1 with the form factor π/(2√2) (docs/method/meters.md). δ: share of the half cycle at ±V, 0 < δ ≤ 1.
 */
export const averageRespondingError = (delta: number): number => formFactor * Math.sqrt(delta) - 1

/**
 * Largest share of power above the bandwidth that a true-RMS meter misses on a wave with 1/h harmonics
 * (stepped, δ about 0.7): 2/(π²·δ·N), N the highest harmonic inside the bandwidth. 0 for a sine.
 */
export function powerAboveBandwidth(bandwidth: number, frequency: number, delta = 0.7): number {
  const highest = Math.max(1, Math.floor(bandwidth / frequency))
  return 2 / (Math.PI ** 2 * delta * highest)
}

/**
 * The share of the half cycle that a stepped wave stands at ±V for, from what an average-responding and a true-RMS meter
 * read of it: δ = (x_avg/(1.1107·x_rms))² (docs/method/meters.md). Undefined where no such wave explains both: below 0 or
 * clearly over 1.
 */
export function plateauShare(average: Uncertain, rms: Uncertain): Uncertain | undefined {
  const ratio = average.value / (formFactor * rms.value)
  const delta = ratio ** 2
  if (!(average.value > 0) || !(rms.value > 0)) return undefined
  const x = combine(delta, [
    [average, (2 * delta) / average.value],
    [rms, (-2 * delta) / rms.value],
  ])
  return delta > 1.05 ? undefined : x
}
