import { benchDays, clockChanges, clockOf, daysFor, momentAfter, momentOn } from './days'

const hours = { timeZone: 'Europe/Berlin', opens: '09:00', closes: '17:00' }
const utc = (month: number, day: number, hour: number, minute = 0) =>
  Date.UTC(2026, month - 1, day, hour, minute)
const hour = 3_600_000

describe('days at the bench', () => {
  it('open and close by the clocks there, winter and summer', () => {
    expect(benchDays(hours, utc(1, 5, 12), 1)).toEqual([{ opens: utc(1, 5, 8), closes: utc(1, 5, 16) }])
    expect(benchDays(hours, utc(7, 5, 12), 1)).toEqual([{ opens: utc(7, 5, 7), closes: utc(7, 5, 15) }])
  })

  it('a night in which the clocks go forward is an hour shorter, one in which they go back an hour longer', () => {
    const night = (from: number) => {
      const [first, second] = benchDays(hours, from, 2)
      return ((second?.opens ?? 0) - (first?.closes ?? 0)) / hour
    }
    expect(night(utc(3, 27, 12))).toBe(16)
    expect(night(utc(3, 28, 12))).toBe(15)
    expect(night(utc(10, 24, 12))).toBe(17)
  })

  it('and that is said, only of nights that are used', () => {
    const days = benchDays(hours, utc(3, 28, 12), 3)
    expect(clockChanges(days, utc(3, 30, 12), hours.timeZone)).toEqual([
      'In the night to Sun 29 Mar the clocks go forward: it is 60 minutes shorter.',
    ])
    expect(clockChanges(days, utc(3, 28, 15), hours.timeZone)).toEqual([])
    expect(clockChanges(benchDays(hours, utc(10, 24, 12), 2), utc(10, 25, 12), hours.timeZone)[0]).toContain(
      'back',
    )
  })

  it('a closing time before the opening is on the next date: a night shift', () => {
    expect(
      benchDays({ ...hours, timeZone: 'UTC', opens: '22:00', closes: '04:00' }, utc(1, 5, 12), 1),
    ).toEqual([{ opens: utc(1, 5, 22), closes: utc(1, 6, 4) }])
    // Of a night that is an hour shorter.
    const [short] = benchDays({ ...hours, opens: '22:00', closes: '04:00' }, utc(3, 28, 12), 1)
    expect(((short?.closes ?? 0) - (short?.opens ?? 0)) / hour).toBe(5)
  })

  it('reach from what was planned to what is left of it, each once', () => {
    const schedule = { ...hours, startsAt: new Date(utc(3, 12, 8)).toISOString() }
    expect(daysFor(schedule, undefined)).toHaveLength(21)
    expect(daysFor(schedule, utc(3, 13, 8))).toHaveLength(21)
    const long = daysFor(schedule, utc(11, 25, 8))
    expect(long).toHaveLength(42)
    expect(long.every(({ opens }, i) => opens > (long[i - 1]?.closes ?? 0))).toBe(true)
    expect(long.at(-1)?.closes).toBeGreaterThan(utc(11, 25, 8))
  })

  it('are said as the clocks there show them', () => {
    const clock = clockOf('Europe/Berlin')
    expect(clock.both(utc(3, 12, 8, 5))).toBe('Thu 12 Mar 09:05')
    expect(clock.time(utc(7, 12, 8))).toBe('10:00')
    expect(momentOn(utc(3, 12, 8), '14:30', 'Europe/Berlin')).toBe(utc(3, 12, 13, 30))
  })
  it('go on past midnight for what was begun before it', () => {
    const zone = 'Europe/Berlin'
    const begun = utc(3, 12, 21) // 22:00 there
    expect(momentAfter(begun, '23:10', zone, begun)).toBe(utc(3, 12, 22, 10))
    expect(momentAfter(begun, '00:40', zone, begun)).toBe(utc(3, 12, 23, 40))
    // The minute in which it was begun is that minute, though its seconds are past.
    expect(momentAfter(begun, '22:00', zone, begun + 45_000)).toBe(begun)
    // Without a beginning it is the date that was planned.
    expect(momentAfter(begun, '00:40', zone)).toBe(utc(3, 11, 23, 40))
    // Over the night in which the clocks go forward.
    expect(momentAfter(utc(3, 28, 21), '06:00', zone, utc(3, 28, 21))).toBe(utc(3, 29, 4))
  })
})
