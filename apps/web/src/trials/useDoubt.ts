import type { EntryOf } from '@even-watt/contract'
import { rerunOf } from '@even-watt/core'
import { capture } from '../outbox/capture'
import { answer } from '../ui/answers'
import { shortTime } from '../ui/dates'
import { useTakingBack } from './useTakingBack'
import { useTrial } from './useTrial'

export type Doubted = EntryOf<'doubt'>['of']

const same = (a: Doubted, b: Doubted): boolean => JSON.stringify(a) === JSON.stringify(b)

/** Doubting readings, and trusting them again: both are entries of their own. What is doubted stays and decides nothing. */
export function useDoubt() {
  const { trial, entries, view, analysis } = useTrial()
  const { takeBack } = useTakingBack()
  const revision = analysis.record.revision.number
  const standing = entries.filter(
    (entry): entry is EntryOf<'doubt'> => entry.kind === 'doubt' && !view.record.struckWhy.has(entry.id),
  )
  return {
    /** Why a reading is doubted, by itself, with its rig or by its meters; undefined: it is trusted. */
    whyDoubted: (entry: string): string | undefined => analysis.record.doubts.readings.get(entry),
    /** When, and on which rig, a doubted reading was taken again; undefined: not yet. */
    readAgain: (entry: EntryOf<'ladder' | 'no load'>): string | undefined => {
      const again = rerunOf(entry, view.record)
      const rig = again && again.revision !== entry.revision ? ` on rig ${again.revision}` : ''
      return again && `read again at ${shortTime(again.at)}${rig}`
    },
    meterDoubted: (meter: string): string | undefined => analysis.record.doubts.meters.get(meter),
    doubt: (of: Doubted, why: string) => {
      const made = capture(trial.id, { revision, kind: 'doubt', of, why })
      if ('faults' in made) answer(made.faults.map(({ message }) => message).join(' '))
      else answer('Doubted: it stays in the record and decides nothing.')
    },
    /** Takes back the doubt of just this; undefined where it was doubted as a part of something else. */
    trust: (of: Doubted): (() => void) | undefined => {
      const doubt = standing.find(
        (entry) => same(entry.of, of) && (of.what !== 'rig' || entry.revision === revision),
      )
      return doubt && (() => takeBack(doubt.id, 'Trusted again.', 'the doubt'))
    },
  }
}
