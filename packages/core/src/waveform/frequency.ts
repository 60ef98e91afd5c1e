import { Basis } from './basis'
import { phaseOf } from './components'

/** Turned into −π … π. */
export const wrapped = (angle: number): number => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI))

/**
 * Sharpens a frequency (rad a sample, right to a small part of 1/cycles) until the fundamental has the same phase in the
 * first half of N samples as in the second. Each round errs by the square of the one before: a wave of whole harmonics is met
 * to the last digit.
 */
export function sharpen(x: Float64Array, w: number, H: number, from: number, N: number): number {
  const half = Math.floor(N / 2)
  for (let round = 0; round < 6; round++) {
    const basis = new Basis(w, H, half)
    const first = basis.components(x, from)
    const second = basis.components(x, from + half)
    if (!first || !second) return w
    // Each phase is counted from the beginning of its own half.
    const step = wrapped(phaseOf(second) - phaseOf(first) - w * half) / half
    w += step
    if (Math.abs(step * N) < 1e-10) break
  }
  return w
}
