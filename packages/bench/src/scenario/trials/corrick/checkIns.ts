import type { CheckIn, Entry, EntryOf } from '@even-watt/contract'
import { type Moment } from '../../../endurance/station'
import type { BenchHand } from '../../capture'

export const minute = 60

/** A check-in at a second of its log. */
export function atMoment(
  hand: BenchHand,
  log: EntryOf<'log'>,
  at: number,
  reading: Omit<CheckIn, 'log'>,
): Entry {
  const entry = hand.entry('check-in', 1, { log: log.id, ...reading })
  return { ...entry, at: new Date(Date.parse(log.at) + at * 1000).toISOString() }
}

/** Check-ins at some minutes of a run, a few seconds late. */
export const checkIns = (
  hand: BenchHand,
  log: EntryOf<'log'>,
  moments: readonly Moment[],
  minutes: readonly number[],
  read: (moment: Moment) => Omit<CheckIn, 'log'>,
): Entry[] =>
  minutes.flatMap((at) => {
    const moment = moments[at * minute + 7]
    return moment ? [atMoment(hand, log, moment.at, read(moment))] : []
  })

/** A time of day as loggers write it. */
export const clock = (at: number) => new Date(at).toISOString().slice(11, 19)
