import ical, { ICalAlarmType } from 'ical-generator'
import { placedKey } from '@even-watt/core'
import type { ScheduleState } from './useSchedule'
import { sayStretch } from './words'

const host = 'even-watt.invalid'
const checkMinutes = 5

/** A value of text as RFC 5545 has it, in one line; the library does so for all but the calendar’s own name. */
const asText = (words: string) => words.replace(/\s+/g, ' ').replace(/[\\;,]/g, '\\$&')

/** Blocks and check-ins as iCalendar (RFC 5545): each check-in with an alarm, moments in UTC. */
export function calendarOf(
  { stands, checkIns }: Pick<ScheduleState, 'stands' | 'checkIns'>,
  title: string,
  madeAt: number,
): string {
  const calendar = ical({
    name: asText(title),
    prodId: { company: 'Even Watt', product: 'schedule', language: 'EN' },
  })
  const stamp = new Date(madeAt)
  stands.placed.forEach((stretch, i) => {
    calendar.createEvent({
      id: `${placedKey(stretch).replace(/ /g, '-')}-${i}@${host}`,
      stamp,
      start: new Date(stretch.from),
      end: new Date(stretch.to),
      summary: `${sayStretch(stretch)} (${title})`,
      description: stretch.because ?? null,
    })
  })
  for (const { placed, number, due, made } of checkIns) {
    if (made !== undefined) continue
    const event = calendar.createEvent({
      id: `${placedKey(placed).replace(/ /g, '-')}-${placed.from}-check-${number}@${host}`,
      stamp,
      start: new Date(due),
      end: new Date(due + checkMinutes * 60_000),
      summary: `Check-in ${number}: ${sayStretch(placed)} (${title})`,
    })
    event.createAlarm({ type: ICalAlarmType.display, triggerBefore: 0, description: `Check-in ${number}` })
  }
  return calendar.toString()
}
