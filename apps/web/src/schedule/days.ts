import { TZDate } from '@date-fns/tz'
import type { Schedule } from '@even-watt/contract'
import type { Day } from '@even-watt/core'
import { addDays } from 'date-fns'

type Hours = Pick<Schedule, 'timeZone' | 'opens' | 'closes'>

const minutesOf = (clock: string): [hours: number, minutes: number] => {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number)
  return [hours, minutes]
}

/** A time of day on the date of a moment, as the clocks there show it. */
function clockOn(moment: TZDate, clock: string, timeZone: string): number {
  const [hours, minutes] = minutesOf(clock)
  return new TZDate(
    moment.getFullYear(),
    moment.getMonth(),
    moment.getDate(),
    hours,
    minutes,
    timeZone,
  ).getTime()
}

/** The hours of the bench from the date of a moment on; a closing time not after the opening is on the next date. */
export function benchDays({ timeZone, opens, closes }: Hours, from: number, count: number): Day[] {
  const first = new TZDate(from, timeZone)
  return Array.from({ length: count }, (_, i) => {
    const date = addDays(first, i)
    const [start, end] = [clockOn(date, opens, timeZone), clockOn(date, closes, timeZone)]
    return { opens: start, closes: end > start ? end : clockOn(addDays(date, 1), closes, timeZone) }
  })
}

/** Days enough for what was planned and, where it is run long after, for what is left of it. */
export function daysFor(schedule: Hours & Pick<Schedule, 'startsAt'>, now: number | undefined): Day[] {
  const planned = benchDays(schedule, Date.parse(schedule.startsAt), 21)
  const last = planned.at(-1)
  if (now === undefined || !last || now < last.opens) return planned
  return [...planned, ...benchDays(schedule, now, 21).filter(({ opens }) => opens > last.closes)]
}

/** A moment of the date of another, from a time of day as typed. */
export const momentOn = (date: number, clock: string, timeZone: string): number =>
  clockOn(new TZDate(date, timeZone), clock, timeZone)

/** The same, on the first date on which it is not before another moment: what took hours goes on past midnight. */
export function momentAfter(date: number, clock: string, timeZone: string, notBefore = -Infinity): number {
  const day = new TZDate(date, timeZone)
  let at = clockOn(day, clock, timeZone)
  for (let i = 1; at < notBefore - 60_000 && i <= mostDays; i++)
    at = clockOn(addDays(day, i), clock, timeZone)
  return at
}
/** Days after its date that a run still counts as that run. */
const mostDays = 7

/** Says moments as the clocks of a time zone show them. */
export function clockOf(timeZone: string) {
  const format = (options: Intl.DateTimeFormatOptions) => {
    const formatter = new Intl.DateTimeFormat('en-GB', { timeZone, ...options })
    return (moment: number) => formatter.format(moment).replace(',', '')
  }
  const time = format({ hour: '2-digit', minute: '2-digit' })
  const date = format({ weekday: 'short', day: 'numeric', month: 'short' })
  return { time, date, both: (moment: number) => `${date(moment)} ${time(moment)}` }
}
export type Clock = ReturnType<typeof clockOf>

/** Nights among the days used in which the clocks are changed, each as a sentence. */
export function clockChanges(days: readonly Day[], ends: number, timeZone: string): string[] {
  const offset = (moment: number) => new TZDate(moment, timeZone).getTimezoneOffset()
  return days.flatMap(({ opens }, i) => {
    const before = days[i - 1]
    if (!before || opens > ends || opens - before.closes > 36 * 3_600_000) return []
    const shift = offset(before.closes) - offset(opens)
    if (shift === 0) return []
    return [
      `In the night to ${clockOf(timeZone).date(opens)} the clocks go ${shift > 0 ? 'forward' : 'back'}: it is ${Math.abs(shift)} minutes ${shift > 0 ? 'shorter' : 'longer'}.`,
    ]
  })
}
