import type { LoadKind, LoadUse } from '@even-watt/contract'
import { kindOfUses, say, sayUses, stillPlanned, supplyOf, underPower } from '@even-watt/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useUnitQuestion } from '../rigs/atOnce/useUnitQuestion'
import { useTrial } from '../trials/useTrial'
import { useKey } from '../ui/keys'
import { useShelf } from './useShelf'

/** A planned step as the entry row takes it. */
export interface TakenStep {
  readonly load: string
  readonly kind: LoadKind
  readonly uses: readonly LoadUse[]
  readonly expected: number
}

/** What the plan says comes next and what it should read, in quiet type, and one key to take it into the entry row. */
export function PlannedNext({ onTake }: { onTake: (step: TakenStep) => void }) {
  const { trial, analysis } = useTrial()
  const { loads, plan } = useShelf(useTrial())
  const unit = useUnitQuestion(analysis)
  const next = useMemo(
    () => (plan ? stillPlanned(plan, analysis.ladder.steps) : []),
    [plan, analysis.ladder.steps],
  )
  const [first] = next
  const take = () => {
    if (!first) return
    const { uses, expected } = first.step
    onTake({ load: sayUses(loads, uses), kind: kindOfUses(loads, uses), uses, expected })
  }
  useKey((event) => event.key.toLowerCase() === 'p' && !event.ctrlKey && !event.metaKey, take)
  if (!first || !loads.length) return null
  const { expected } = first.step
  const supply = supplyOf(analysis.supply.known)
  const point = supply && underPower(supply, expected + unit.loss(expected))
  const alarms = supply !== undefined && (!point || point.V_B < unit.alarm)
  return (
    <p className="text-quiet no-print mt-1" data-testid="planned-next">
      Planned next: {sayUses(loads, first.step.uses)}, about {say(expected, 'W', 4)} at the outlet
      {point && `, ${say(point.I, 'A')} and ${say(point.V_B, 'V', 4)} at B`}.{' '}
      {alarms && (
        <span className="text-madder">
          ■ It will alarm on this supply ({say(unit.alarm, 'V')}): do not switch it on before the supply is
          stiffer.{' '}
        </span>
      )}
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
