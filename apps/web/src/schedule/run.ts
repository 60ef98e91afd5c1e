import type { RunEvent } from '@even-watt/contract'
import type { CheckIn, Stretch } from '@even-watt/core'
import { capture } from '../outbox/capture'
import { answer } from '../ui/answers'
import { shortTime } from '../ui/dates'

const said: Readonly<Record<RunEvent['action'], string>> = {
  start: 'Started',
  pause: 'Paused',
  resume: 'Going on',
  finish: 'Finished',
  skip: 'Skipped',
  'check-in': 'Checked in',
}

/** Records what happens to the schedule, at the time it happens. */
export function recordRun(trial: string, revision: number, reading: RunEvent): void {
  capture(trial, { revision, kind: 'run', reading })
  answer(`${said[reading.action]} at ${shortTime(new Date().toISOString())}.`)
}

export const eventOf = (
  { block, part }: Pick<Stretch, 'block' | 'part'>,
  action: RunEvent['action'],
): RunEvent => ({ block, ...(part ? { part } : {}), action })

/** A check-in as it is made, however late. */
export const checkInEvent = ({ placed, number, due }: CheckIn, note: string): RunEvent => ({
  ...eventOf(placed, 'check-in'),
  check: number,
  due: new Date(due).toISOString(),
  ...(note.trim() ? { note: note.trim() } : {}),
})
