import type { EntryOf, Schedule } from '@even-watt/contract'
import { readingsOf, type RevisionRecord } from '../trials'

/** A stretch of time in which a load was on, whoever planned it; W at the outlet, moments in ms since 1970. */
export interface Loaded {
  readonly from: number
  readonly to: number
  readonly watts: number
}

/**
 * When loads were on by the record's own readings: up to each reading for as long as it was held, or else as a step is
 * planned to take, and never before the reading before it. The schedule counts their heat though none of its blocks ran.
 */
export function loadedOf(
  record: RevisionRecord,
  { settle, dwell }: Pick<Schedule, 'settle' | 'dwell'>,
): Loaded[] {
  const readings = [...record.earlier, record]
    .flatMap((one) => readingsOf(one, 'ladder'))
    .map((entry) => ({ to: Date.parse(entry.at), watts: wattsOf(entry), held: entry.reading.held }))
    .sort((a, b) => a.to - b.to)
  return readings.flatMap(({ to, watts, held }, i) => {
    if (watts === undefined) return []
    const from = Math.max(readings[i - 1]?.to ?? -Infinity, to - 1000 * (held ?? settle + dwell))
    return from < to ? [{ from, to, watts }] : []
  })
}

/** What the wattmeter read, else what the plan expected. */
function wattsOf({ reading }: EntryOf<'ladder'>): number | undefined {
  const read = reading.values.filter(({ quantity }) => quantity === 'P_C')
  return read.length ? read.reduce((sum, { value }) => sum + value, 0) / read.length : reading.expected
}
