import type { Entry } from '@even-watt/contract'
import { capture } from '../outbox/capture'
import { answer } from '../ui/answers'
import { useTrial } from './useTrial'

/** Taking entries back, and restoring them: both are entries of their own, so nothing is ever gone. */
export function useTakingBack() {
  const { trial, entries, view } = useTrial()

  /** What took an entry back and still counts; nothing where it stands, or was corrected. */
  const takerOf = (id: string): Entry | undefined =>
    entries.find((one) => one.kind === 'take back' && one.entry === id && !view.record.struckWhy.has(one.id))

  const restoreFrom = (taker: Pick<Entry, 'id' | 'revision'>, what: string) => {
    capture(trial.id, { revision: taker.revision, kind: 'take back', entry: taker.id, why: 'Restored.' })
    answer(`Restored: ${what} counts again.`)
  }
  return {
    takeBack: (id: string, why: string, what: string) => {
      const taken = entries.find((one) => one.id === id)
      if (!taken) return
      const made = capture(trial.id, { revision: taken.revision, kind: 'take back', entry: id, why })
      if ('faults' in made) answer(made.faults.map(({ message }) => message).join(' '))
      else
        answer(`Taken back: ${what} stays in the record, struck through.`, () =>
          restoreFrom(made.entry, what),
        )
    },
    canRestore: (id: string): boolean => takerOf(id) !== undefined,
    restore: (id: string, what: string) => {
      const taker = takerOf(id)
      if (taker) restoreFrom(taker, what)
    },
  }
}
