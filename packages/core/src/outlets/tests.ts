import type { EntryOf, OutletOf, OutletTest } from '@even-watt/contract'
import { readingsOf, type RevisionRecord } from '../trials'

export interface OutletEntry<T extends OutletTest> {
  readonly entry: EntryOf<'outlet'>
  readonly reading: OutletOf<T>
}

/** The tests of one kind behind the outlets of a rig, in order of time. */
export const outletTests = <T extends OutletTest>(
  record: Pick<RevisionRecord, 'standing'>,
  test: T,
): OutletEntry<T>[] =>
  readingsOf(record, 'outlet').flatMap((entry) =>
    entry.reading.test === test ? [{ entry, reading: entry.reading as OutletOf<T> }] : [],
  )
