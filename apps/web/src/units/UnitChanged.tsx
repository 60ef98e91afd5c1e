import type { Problem } from '@even-watt/contract'
import { useState } from 'react'
import { api, problemOf } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { Notice, ProblemNotice } from '../ui/Notice'

/** A unit that was described anew since the trial froze it, and the way to take that in. */
export function UnitChanged() {
  const { trial, analysis, chooseRevision } = useTrial()
  const { unit: frozen } = analysis.record.revision
  const { data: units } = api.useUnitsQuery()
  const [add, { isLoading }] = api.useAddRevisionMutation()
  const [problem, setProblem] = useState<Problem>()
  const newest = trial.revisions.at(-1)
  const now = units?.find(({ id }) => id === frozen.id)
  if (!newest || !now || now.version <= newest.unit.version) return null
  const take = async () => {
    try {
      await add({
        trial: trial.id,
        after: newest.number,
        why: 'the unit was described anew',
        touched: [],
        rig: newest.rig,
        unit: 'as it is now',
      }).unwrap()
      chooseRevision(newest.number + 1)
      answer('The trial has the unit as it is described now.')
    } catch (error) {
      setProblem(problemOf(error))
    }
  }
  return (
    <Notice kind="odd" word="Described anew">
      The unit was edited since this trial took it over.{' '}
      <button type="button" className="plain-link" disabled={isLoading} onClick={() => void take()}>
        Take it into this trial
      </button>{' '}
      What was read stays, and is judged by what is then promised.
      {problem && <ProblemNotice problem={problem} />}
    </Notice>
  )
}
