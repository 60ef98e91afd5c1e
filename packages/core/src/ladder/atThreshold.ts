import type { Unit } from '@even-watt/contract'
import { decides } from '../figures'
import { expanded } from '../meters'
import { claimedValue } from '../units'
import type { StepFigures } from './step'

/** Whether the input of a step stood at or under the volts at which the unit says it warns or stops, alarm noted or not. */
export function atThreshold({ read: { V_B } }: StepFigures, unit: Pick<Unit, 'claims'>): boolean {
  const thresholds = [claimedValue(unit, 'alarm voltage'), claimedValue(unit, 'cutoff voltage')]
  return (
    decides(V_B) && thresholds.some((volts) => volts !== undefined && V_B.x.value <= volts + expanded(V_B.x))
  )
}
