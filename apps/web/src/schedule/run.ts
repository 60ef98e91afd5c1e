import type { Entry, RunEvent } from '@even-watt/contract'
import type { CheckIn, Stretch } from '@even-watt/core'
import { v7 } from 'uuid'
import { capture } from '../outbox/outbox'

/** Records what happens to the schedule, at the time it happens. */
export function recordRun(trial: string, revision: number, reading: RunEvent): void {
  const entry: Entry = { id: v7(), revision, at: new Date().toISOString(), kind: 'run', reading }
  void capture(trial, [entry])
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
