import { api } from '../api/api'
import { useRedescribed } from '../trials/useRedescribed'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { Notice, ProblemNotice } from '../ui/Notice'

/** A unit that was described anew since the trial froze it, and the way to take that in. */
export function UnitChanged() {
  const { unit: frozen } = useTrial().analysis.record.revision
  const { data: units } = api.useUnitsQuery()
  const { newest, take, busy, problem } = useRedescribed()
  const now = units?.find(({ id }) => id === frozen.id)
  if (!newest || !now || now.version <= newest.unit.version) return null
  const takeIn = async () => {
    if (await take('the unit was described anew', { unit: 'as it is now' }))
      answer('The trial has the unit as it is described now.')
  }
  return (
    <Notice kind="odd" word="Described anew">
      The unit was edited since this trial took it over.{' '}
      <button type="button" className="plain-link" disabled={busy} onClick={() => void takeIn()}>
        Take it into this trial
      </button>{' '}
      What was read stays, and is judged by what is then promised.
      {problem && <ProblemNotice problem={problem} />}
    </Notice>
  )
}
