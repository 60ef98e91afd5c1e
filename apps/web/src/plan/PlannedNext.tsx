import { say, supplyOf, underPower } from '@even-watt/core'
import { Link } from 'react-router'
import { useUnitQuestion } from '../rigs/atOnce/useUnitQuestion'
import { useTrial } from '../trials/useTrial'
import { useKey } from '../ui/keys'
import { usePlannedNext, type TakenStep } from './usePlannedNext'

/** What the plan says comes next and what it should read, in quiet type, and one key to take it into the entry row. */
export function PlannedNext({ onTake }: { onTake: (step: TakenStep) => void }) {
  const { trial, analysis } = useTrial()
  const next = usePlannedNext()
  const unit = useUnitQuestion(analysis)
  useKey(
    (event) => event.key.toLowerCase() === 'p' && !event.ctrlKey && !event.metaKey,
    () => next && onTake(next.step),
  )
  if (!next) return null
  const { load, expected } = next.step
  const supply = supplyOf(analysis.supply.known)
  const point = supply && underPower(supply, expected + unit.loss(expected))
  const alarms = supply !== undefined && (!point || point.V_B < unit.alarm)
  return (
    <p className="text-quiet no-print mt-1" data-testid="planned-next">
      Planned next: {load}, about {say(expected, 'W', 4)} at the outlet
      {point && `, ${say(point.I, 'A')} and ${say(point.V_B, 'V', 4)} at B`}.{' '}
      {alarms && (
        <span className="text-madder">
          ■ It will alarm on this supply ({say(unit.alarm, 'V')}): do not switch it on before the supply is
          stiffer.{' '}
        </span>
      )}
      <button type="button" className="plain-link" onClick={() => onTake(next.step)}>
        Take it
      </button>{' '}
      <span className="kbd">P</span>
      {next.more > 0 && ` ${next.more} more planned. `}
      <Link className="plain-link" to={`/trials/${trial.id}/plan`}>
        To the plan
      </Link>
    </p>
  )
}
