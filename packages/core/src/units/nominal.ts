import type { Unit } from '@even-watt/contract'
import { isFigure, type Derived } from '../figures'

/** Half of nominal, where volts were read on one leg of a split phase; else nominal as labelled, V. */
export function nominalAt(
  { phase, outputVoltage }: Pick<Unit, 'phase' | 'outputVoltage'>,
  V_C: Derived,
): number {
  const leg = outputVoltage / 2
  const onLeg = phase === 'split' && isFigure(V_C) && Math.abs(V_C.x.value - leg) < 0.25 * leg
  return onLeg ? leg : outputVoltage
}
