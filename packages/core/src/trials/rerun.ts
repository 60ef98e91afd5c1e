import type { EntryOf } from '@even-watt/contract'
import { readingsOf, type TrialRecord } from './record'

type Reading = EntryOf<'ladder' | 'no load'>

/** Whether two readings are of the same thing: a step or its load, or the same mode without load. */
function alike(a: Reading, b: Reading): boolean {
  if (a.kind === 'no load' || b.kind === 'no load')
    return a.kind === 'no load' && b.kind === 'no load' && a.reading.mode === b.reading.mode
  return a.reading.step === b.reading.step || a.reading.load === b.reading.load
}

/** The first trusted reading of the same thing after a doubted one, on whatever rig: its rerun. Undefined: none yet. */
export function rerunOf(doubted: Reading, record: TrialRecord): Reading | undefined {
  const trusted = ({ id, revision, reading: { values } }: Reading): boolean => {
    const doubts = record.revisions.find((one) => one.revision.number === revision)?.doubts
    return !doubts?.readings.has(id) && !values.some(({ meter }) => meter && doubts?.meters.has(meter))
  }
  return readingsOf(record, doubted.kind).find(
    (entry) => entry.at > doubted.at && alike(entry, doubted) && trusted(entry),
  )
}
