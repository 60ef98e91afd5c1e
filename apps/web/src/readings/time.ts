/** A time as a logger or a hand writes it: local date and time, or a time of day on a given day. */
const whole =
  /^(\d{4})-(\d{1,2})-(\d{1,2})[ T](\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d{1,6})?))?(Z|[+-]\d{2}:?\d{2})?$/
const clock = /^(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d{1,6})?))?$/

const halfDay = 12 * 3_600_000
const wholeDay = 2 * halfDay

/**
 * The moment that a cell names, ISO; undefined: it is no time. A time of day belongs to `day` (local, "2026-03-12"), or to
 * the day after where it lies over half a day before the row before it.
 */
export function readTime(text: string, day: string, before: string | undefined): string | undefined {
  const typed = text.trim()
  if (typed.length > 40) return undefined
  if (whole.test(typed))
    return iso(
      Date.parse(
        typed
          .replace(' ', 'T')
          .replace(',', '.')
          .replace(/T(\d):/, 'T0$1:'),
      ),
    )
  const match = clock.exec(typed)
  if (!match) return undefined
  const [, h = '', m = '', s = '0'] = match
  const seconds = Number(s.replace(',', '.'))
  if (Number(h) > 23 || Number(m) > 59 || seconds >= 60) return undefined
  const start = new Date(`${day}T00:00:00`)
  start.setHours(Number(h), Number(m), 0, Math.round(seconds * 1000))
  let at = start.getTime()
  if (before !== undefined) while (at < Date.parse(before) - halfDay) at += wholeDay
  return iso(at)
}

const iso = (at: number): string | undefined => (Number.isFinite(at) ? new Date(at).toISOString() : undefined)
