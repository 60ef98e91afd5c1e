import type { Entry } from '@even-watt/contract'
import { remembering } from '../remember'

const sameTime = remembering<Entry, Entry>()

/** The entry with its time in the one form that sorts as text; the very same where it has it already. */
function atTime(entry: Entry, time: number): Entry {
  const at = new Date(time).toISOString()
  return at === entry.at ? entry : sameTime(entry, [at], () => ({ ...entry, at }))
}

/**
 * Entries with times that go forward, in their order. A wall clock can be set back in the midst of a test: then what
 * was captured later looks earlier, and what began at 10:00 ends at 9:30. Where entries of one page carry that page's
 * own clock, none stands less after the one before it than that clock says; a jump forward is left, for a computer that
 * slept does that too (docs/method/evidence.md). Entries may come in any order; equal times are told apart by id.
 */
export function inTime(entries: readonly Entry[]): Entry[] {
  const pages = new Map<string, Entry[]>()
  const timed: { entry: Entry; time: number }[] = []
  for (const entry of entries) {
    const { clock } = entry
    if (!clock) {
      timed.push({ entry, time: Date.parse(entry.at) })
      continue
    }
    const page = pages.get(clock.page)
    if (page) page.push(entry)
    else pages.set(clock.page, [entry])
  }
  for (const page of pages.values()) {
    const secondsOf = (entry: Entry) => entry.clock?.seconds ?? 0
    page.sort((a, b) => secondsOf(a) - secondsOf(b) || (a.id < b.id ? -1 : 1))
    let earliest = -Infinity
    let before = 0
    for (const entry of page) {
      const seconds = secondsOf(entry)
      const time = Math.max(Date.parse(entry.at), earliest + Math.round((seconds - before) * 1000))
      timed.push({ entry, time })
      earliest = time
      before = seconds
    }
  }
  return timed
    .map(({ entry, time }) => atTime(entry, time))
    .sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1))
}
