import { correctedTwice, sameFiles } from '@even-watt/core'
import { useMemo } from 'react'
import { shortTime } from '../ui/dates'
import { Notice } from '../ui/Notice'
import { namesIn } from './naming'
import { useStages } from './stageContext'
import { useTrial } from './useTrial'

/** Says what counts twice until one of them is taken back: a file that was brought twice, a reading that two people corrected. */
export function CountedTwice() {
  const { trial, view, entries } = useTrial()
  const stages = useStages()
  const corrected = useMemo(() => correctedTwice(entries, view.record.struckWhy), [entries, view])
  return (
    <>
      {sameFiles(view.record).map(({ name, at }) => (
        <Notice key={at[0]} kind="odd" word="Twice">
          {name} stands here more than once: added at {at.map(shortTime).join(', ')}. Take one back, or it
          counts twice.
        </Notice>
      ))}
      {corrected.map((corrections) => {
        const [first] = corrections
        return (
          first && (
            <Notice key={first.id} kind="odd" word="Twice">
              “{namesIn(stages, first) ?? first.kind}” was corrected more than once:{' '}
              {corrections.map(({ at, by = trial.by }) => `at ${shortTime(at)} by ${by}`).join(', ')}. All of
              them count: take back what is not right.
            </Notice>
          )
        )
      })}
    </>
  )
}
