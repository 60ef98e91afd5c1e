import type { CheckIn, Scheduled, Stretch } from '@even-watt/core'
import { calendarOf } from './calendar'

const hold: Stretch = {
  block: 'b1',
  kind: 'rated hold',
  part: undefined,
  from: Date.UTC(2026, 2, 29, 0, 30),
  to: Date.UTC(2026, 2, 29, 1, 30),
  pieces: [],
  state: 'planned',
  because: undefined,
}
const cooling: Stretch = { ...hold, part: 'cool-down', because: 'it is warm; wait, then go on' }
const check = (number: number, made?: number): CheckIn => ({
  placed: hold,
  number,
  due: hold.from + number * 600_000,
  made,
})

const text = calendarOf(
  {
    stands: { placed: [cooling, hold] } as unknown as Scheduled,
    checkIns: [check(1, hold.from + 700_000), check(2)],
  },
  'Ottrel, for launch 2',
  Date.UTC(2026, 2, 1),
)
const unfolded = text.replace(/\r\n[ \t]/g, '')

describe('the calendar (RFC 5545)', () => {
  it('holds every stretch, and the check-ins still to be made, each with an alarm', () => {
    expect(unfolded.match(/BEGIN:VEVENT/g)).toHaveLength(3)
    expect(unfolded.match(/BEGIN:VALARM/g)).toHaveLength(1)
    expect(unfolded).toContain('SUMMARY:Check-in 2: Rated hold (Ottrel\\, for launch 2)')
    expect(unfolded).toContain('DESCRIPTION:it is warm\\; wait\\, then go on')
  })

  it('gives moments in UTC, so that a night in which the clocks are changed is no matter', () => {
    expect(unfolded).toContain('DTSTART:20260329T003000Z')
    expect(unfolded).toContain('DTEND:20260329T013000Z')
    expect(unfolded).toContain('DTSTART:20260329T005000Z')
  })

  it('is one calendar, in lines of 75 octets at most, each event named apart', () => {
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0\r\n')).toBe(true)
    expect(text.trimEnd().endsWith('END:VCALENDAR')).toBe(true)
    expect(Math.max(...text.split('\r\n').map((line) => Buffer.byteLength(line)))).toBeLessThanOrEqual(75)
    const ids = unfolded.match(/^UID:.*$/gm) ?? []
    expect(new Set(ids).size).toBe(3)
  })

  it('keeps a title of several lines to one value, whatever stands in it', () => {
    const odd = calendarOf(
      { stands: { placed: [] } as unknown as Scheduled, checkIns: [] },
      'Ottrel\r\nATTACH:file:///etc; and, so \\ on',
      0,
    ).replace(/\r\n[ \t]/g, '')
    expect(odd).not.toContain('\r\nATTACH')
    expect(odd).toContain('NAME:Ottrel ATTACH:file:///etc\\; and\\, so \\\\ on')
  })
})
