/**
 * What an average-responding meter shows on a stepped wave, relative to true RMS, minus one:
 * 1.1107·√δ − 1 with the form factor π/(2√2) (docs/method/meters.md). δ: share of the half cycle at ±V, 0 < δ ≤ 1.
 */
export const averageRespondingError = (delta: number): number =>
  (Math.PI / (2 * Math.SQRT2)) * Math.sqrt(delta) - 1

/**
 * Largest share of power above the bandwidth that a true-RMS meter misses on a wave with 1/h harmonics
 * (stepped, δ about 0.7): 2/(π²·δ·N), N the highest harmonic inside the bandwidth. 0 for a sine.
 */
export function powerAboveBandwidth(bandwidth: number, frequency: number, delta = 0.7): number {
  const highest = Math.max(1, Math.floor(bandwidth / frequency))
  return 2 / (Math.PI ** 2 * delta * highest)
}
