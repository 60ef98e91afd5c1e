import type { EntryOf } from '@even-watt/contract'
import { readingsOf, type TrialRecord } from '../trials'

/** A file that stands in a trial more than once: what is read of it counts more than once too. */
export interface SameFile {
  readonly name: string
  /** Moments at which it was added. */
  readonly at: readonly string[]
}

/** Captures and tables of loggers whose bytes are the same, on one rig. One that was taken back counts no more. */
export function sameFiles(record: Pick<TrialRecord, 'standing'>): SameFile[] {
  const all: readonly EntryOf<'capture' | 'log file'>[] = [
    ...readingsOf(record, 'capture'),
    ...readingsOf(record, 'log file'),
  ]
  const groups = new Map<string, EntryOf<'capture' | 'log file'>[]>()
  for (const entry of all) {
    const key = `${entry.kind} ${entry.revision} ${entry.reading.sha256}`
    groups.set(key, [...(groups.get(key) ?? []), entry])
  }
  return [...groups.values()].flatMap((same) => {
    const [first] = same
    return first && same.length > 1 ? [{ name: first.reading.name, at: same.map(({ at }) => at) }] : []
  })
}
