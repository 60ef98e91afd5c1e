import type { Course } from '@even-watt/contract'

/** s from 10 to 90 % of the volts that a capture ends with; undefined where it does not rise from nothing (docs/method/limits.md). */
export function softStartIn({ V_C, step }: Course): number | undefined {
  if (!V_C || V_C.length < 8) return undefined
  const end = [...V_C.slice(-5)].sort((a, b) => a - b)[2] ?? 0
  if (!(end > 0) || (V_C[0] as number) > 0.1 * end) return undefined
  // Between two points the instant is interpolated.
  const reaches = (level: number) => {
    const k = V_C.findIndex((volts) => volts >= level)
    const [before = 0, now = 0] = [V_C[k - 1], V_C[k]]
    return k < 1 ? undefined : (k - 1 + (level - before) / (now - before)) * step
  }
  const [low, high] = [reaches(0.1 * end), reaches(0.9 * end)]
  return low === undefined || high === undefined ? undefined : high - low
}
