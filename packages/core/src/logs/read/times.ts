/** How the times of a log are written. */
export const timeKinds = [
  'time of day',
  'date and time',
  'seconds',
  'minutes',
  'hours',
  'milliseconds',
  'seconds since 1970',
  'milliseconds since 1970',
] as const
export type TimeKind = (typeof timeKinds)[number]

/** s of one unit of a time that is a number. */
export const unitOfTime: Readonly<Partial<Record<TimeKind, number>>> = {
  seconds: 1,
  minutes: 60,
  hours: 3600,
  milliseconds: 0.001,
  'seconds since 1970': 1,
  'milliseconds since 1970': 0.001,
}

const day = 86_400
const halfDay = day / 2
/** A clock that goes back by an hour, give or take this, s: summer time ended. */
const hour = 3600
const aboutAnHour = 120

/** Steps within which a row goes on from the one before it. */
const mostSteps = 5

/** What became of a row’s time. */
export type TimeResult = number | 'no time' | 'goes back'

/** s since the midnight of its day that “21:40”, “21:40:05.5” or “9:40 pm” names; NaN: it is no time of day. */
export function timeOfDay(text: string): number {
  const match = /^(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d{1,6})?))?\s*([ap]m)?$/i.exec(text)
  if (!match) return NaN
  const [, h = '', m = '', s = '0', half] = match
  let hours = Number(h)
  const seconds = Number(s.replace(',', '.'))
  if (hours > 23 || Number(m) > 59 || seconds >= 61) return NaN
  if (half) hours = (hours % 12) + (half.toLowerCase() === 'pm' ? 12 : 0)
  return hours * 3600 + Number(m) * 60 + seconds
}

/**
 * s since 1970 of a date and time as the clock on the wall showed it, without its zone; NaN: it is none. Years first, or days
 * first with points; month and day with slashes in the order that is said.
 */
export function dateAndTime(text: string, monthFirst: boolean): number {
  const match =
    /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})[ T]+([^ T].*?)(Z|[+-]\d{2}:?\d{2})?$/.exec(text) ??
    reordered(/^(\d{1,2})[./-](\d{1,2})[./-](\d{4}),?[ T]+([^ T].*)$/.exec(text), monthFirst)
  if (!match) return NaN
  const [, y, m, d, clock = ''] = match
  const at = timeOfDay(clock.trim())
  const midnight = Date.UTC(Number(y), Number(m) - 1, Number(d)) / 1000
  return Number(m) > 12 || Number(m) < 1 || Number(d) < 1 || Number(d) > 31 ? NaN : midnight + at
}

/** Minutes east of UTC that a date and time says of its zone: "+05:30" 330, "Z" 0; undefined: it says none. */
export function zoneOf(text: string): number | undefined {
  const [, zone] = /\d(Z|[+-]\d{2}:?\d{2})$/.exec(text.trim().slice(-12)) ?? []
  if (zone === undefined || Number.isNaN(dateAndTime(text.trim(), false))) return undefined
  if (zone === 'Z') return 0
  const minutes = 60 * Number(zone.slice(1, 3)) + Number(zone.slice(-2))
  return zone.startsWith('-') ? -minutes : minutes
}

/** A zone as it is written: "+05:30". */
export const sayZone = (minutes: number): string => {
  const [hours, rest] = [Math.floor(Math.abs(minutes) / 60), Math.abs(minutes) % 60]
  return `${minutes < 0 ? '−' : '+'}${String(hours).padStart(2, '0')}:${String(rest).padStart(2, '0')}`
}

const reordered = (match: RegExpExecArray | null, monthFirst: boolean) =>
  match &&
  (monthFirst
    ? [match[0], match[3], match[1], match[2], match[4]]
    : [match[0], match[3], match[2], match[1], match[4]])

/**
 * Times of a log, row by row, as s from its first row. A time of day that goes back by more than half a day has passed
 * midnight; one that goes back by an hour came at the end of summer time, and goes on. One row that goes back by something else
 * is refused; where the next one goes on from it the clock was put back, and the log goes on.
 */
export class Clock {
  private begun: number | undefined
  private last = -Infinity
  private step = 0
  private shift = 0
  /** The last step that was taken, s, and the time of a row that went back. */
  private usual = 1
  private wentBack: number | undefined
  /** Days that were passed, and hours that the clock was put back. */
  days = 0
  putBack = 0

  constructor(private readonly kind: TimeKind) {}

  /** s since 1970, or since midnight of the day it begins, of the first row. */
  get first(): number | undefined {
    return this.begun
  }

  /** Whether a row goes on from one that went back, by a step or so: one alone is a slip of the logger. */
  private isPutBack(read: number): boolean {
    return (
      this.wentBack !== undefined && read > this.wentBack && read - this.wentBack <= mostSteps * this.usual
    )
  }

  /** From a time in s as it was read. */
  next(read: number): TimeResult {
    if (!Number.isFinite(read)) return 'no time'
    this.begun ??= read
    let at = read + this.shift - this.begun
    if (at < this.last) {
      const back = this.last - at
      if (this.kind === 'time of day' && back > halfDay) {
        this.shift += day
        this.days += 1
        at += day
      } else if (
        (this.kind === 'time of day' || this.kind === 'date and time') &&
        // Rows minutes apart go back by an hour less the time between them.
        [hour, hour - Math.min(this.step, hour / 2)].some(
          (expected) => Math.abs(back - expected) < aboutAnHour,
        )
      ) {
        this.shift += hour
        this.putBack += 1
        at += hour
      } else if (this.isPutBack(read)) {
        // The row before went back as far, and time goes on from there: the clock was put back by hand.
        this.shift += back + this.usual
        this.putBack += 1
        at = this.last + this.usual
      } else {
        this.wentBack = read
        return 'goes back'
      }
    }
    this.wentBack = undefined
    this.step = Number.isFinite(this.last) ? at - this.last : 0
    if (this.step > 0) this.usual = this.step
    this.last = at
    return at
  }
}
