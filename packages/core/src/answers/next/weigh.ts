import type { Entry } from '@even-watt/contract'
import type { Asked } from '../answer'
import { answersOf } from '../answers'
import { readingOrder, type ReadingOrder } from './bundles'
import { chancesOf } from './chances'
import { mayBe } from './may'

/** Of what the unit may be, so many are asked; fewer where much was read already, and what it may be is narrow. */
const drawnFor = (entries: number): number => (entries > 40 ? 12 : 24)
/** Entries from which on a trial is told well enough without. */
const mostEntries = 150

/**
 * What to read next: every reading is tried on all that the unit may be, with the errors of the meters there, before anything is
 * connected (docs/method/answers.md). Work for a worker: some tenths of a second. A trial of many readings is not weighed:
 * what its questions ask for is counted on.
 */
export function weighReadings(asked: Asked, entries: readonly Entry[]): ReadingOrder {
  const answered = answersOf(asked)
  if (entries.length > mostEntries || !answered.some(({ open }) => open?.load)) return readingOrder(answered)
  const all = mayBe(asked.on.analysis, drawnFor(entries.length))
  return readingOrder(answered, (load) => chancesOf(asked, entries, load, all))
}
