import type { LoadKind, LoadUse } from '@even-watt/contract'
import { kindOfUses, say, sayUses, stillPlanned } from '@even-watt/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { api } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { useKey } from '../ui/keys'

/** A planned step as the entry row takes it. */
export interface TakenStep {
  readonly load: string
  readonly kind: LoadKind
  readonly uses: readonly LoadUse[]
  readonly expected: number
}

/** What the plan says comes next, in quiet type, and one key to take it into the entry row. */
export function PlannedNext({ onTake }: { onTake: (step: TakenStep) => void }) {
  const { trial, analysis } = useTrial()
  const { data: loads = [] } = api.useLoadsQuery()
  const next = useMemo(
    () => (trial.plan ? stillPlanned(trial.plan, analysis.steps) : []),
    [trial.plan, analysis.steps],
  )
  const [first] = next
  const take = () => {
    if (!first) return
    const { uses, expected } = first.step
    onTake({ load: sayUses(loads, uses), kind: kindOfUses(loads, uses), uses, expected })
  }
  useKey((event) => event.key.toLowerCase() === 'p' && !event.ctrlKey && !event.metaKey, take)
  if (!first || !loads.length) return null
  return (
    <p className="text-quiet no-print mt-1" data-testid="planned-next">
      Planned next: {sayUses(loads, first.step.uses)}, about {say(first.step.expected, 'W', 4)} at the outlet.{' '}
      <button type="button" className="plain-link" onClick={take}>
        Take it
      </button>{' '}
      <span className="kbd">P</span>
      {next.length > 1 && ` ${next.length - 1} more planned. `}
      <Link className="plain-link" to={`/trials/${trial.id}/plan`}>
        To the plan
      </Link>
    </p>
  )
}
