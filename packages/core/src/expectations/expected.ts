import type { EntryOf } from '@even-watt/contract'
import { readingsOf, type TrialRecord } from '../trials'

/** An expectation with what the evidence said of it, if that was marked. */
export interface Expected {
  readonly entry: EntryOf<'expectation'>
  readonly cameOut: EntryOf<'came out'> | undefined
  /** Whether anything was read before it was written, so that it may have been known. */
  readonly afterReading: boolean
}

/** Expectations in the order they were written; of several marks on one the newest stands (docs/method/findings.md). */
export function expectationsOf(record: TrialRecord): Expected[] {
  const marks = new Map<string, EntryOf<'came out'>>()
  for (const mark of readingsOf(record, 'came out')) marks.set(mark.reading.expectation, mark)
  const first = (['no load', 'ladder', 'motors'] as const)
    .flatMap((kind) => readingsOf(record, kind).map(({ at }) => at))
    .reduce<string | undefined>((least, at) => (least === undefined || at < least ? at : least), undefined)
  return readingsOf(record, 'expectation').map((entry) => ({
    entry,
    cameOut: marks.get(entry.id),
    afterReading: first !== undefined && entry.at > first,
  }))
}
