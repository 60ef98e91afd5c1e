import type { Course } from '@even-watt/contract'
import { readingsOf, type RevisionRecord } from '../trials'

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

/** A soft start as a capture of it shows it, before what was typed. */
export function capturedSoftStart(about: string, record: RevisionRecord): number | undefined {
  for (const { reading } of readingsOf(record, 'capture'))
    if (reading.about === about && !reading.picture && reading.figures.course) {
      const seconds = softStartIn(reading.figures.course)
      if (seconds !== undefined) return seconds
    }
  return undefined
}
