import type { Entry, EntryOf } from '@even-watt/contract'
import { remembering } from '../remember'

export type WorkedAgain = EntryOf<'worked again'>

const same = remembering<EntryOf<'capture'>, EntryOf<'capture'>>()

/**
 * A capture with the figures that its bytes gave when they were worked again, the same object each time; every other entry, and
 * a capture whose own figures stand, as it is. What came with a capture is a cache of what its bytes say, and no more.
 */
export function asWorked<T extends Entry>(
  entry: T,
  worked: ReadonlyMap<string, WorkedAgain>,
): T | EntryOf<'capture'> {
  const again = entry.kind === 'capture' ? worked.get(entry.id) : undefined
  if (entry.kind !== 'capture' || !again || !('figures' in again.found)) return entry
  const { figures } = again.found
  return same(entry, [again], () => ({ ...entry, reading: { ...entry.reading, figures } }))
}
