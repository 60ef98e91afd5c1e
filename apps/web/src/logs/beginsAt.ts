import type { TimeKind } from '@even-watt/core/logs/read/index'

/** The moment of a table’s first row, ISO. `zone`: minutes east that its times say; without, they are of this place. */
export function beginsAt(kind: TimeKind, first: number, day: string, log: string, zone?: number): string {
  if (kind === 'time of day') {
    const start = new Date(`${day}T00:00:00`)
    start.setHours(0, 0, 0, Math.round(first * 1000))
    return start.toISOString()
  }
  if (kind === 'date and time') {
    if (zone !== undefined) return new Date((first - 60 * zone) * 1000).toISOString()
    const utc = new Date(first * 1000)
    // As the clock on this wall would have shown it.
    return new Date(
      utc.getUTCFullYear(),
      utc.getUTCMonth(),
      utc.getUTCDate(),
      utc.getUTCHours(),
      utc.getUTCMinutes(),
      utc.getUTCSeconds(),
      utc.getUTCMilliseconds(),
    ).toISOString()
  }
  if (kind === 'seconds since 1970' || kind === 'milliseconds since 1970')
    return new Date(first * 1000).toISOString()
  return new Date(Date.parse(log)).toISOString()
}
