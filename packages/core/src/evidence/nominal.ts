import type { Unit } from '@even-watt/contract'
import { isFigure, type Derived } from '../figures'

type Output = Pick<Unit, 'phase' | 'outputVoltage'>

/** A label of a split phase names a leg, or both together: no leg has so many volts. */
const noLeg = 200

/** Nominal volts of one leg of a split phase; of a single phase those on the label. */
export const legVolts = ({ phase, outputVoltage }: Output): number =>
  phase === 'split' && outputVoltage >= noLeg ? outputVoltage / 2 : outputVoltage

/** The nominal volts near some that were read: of one leg of a split phase, or of both; without any, as labelled. */
export function nominalNear(unit: Output, volts: number | undefined): number {
  if (unit.phase !== 'split' || volts === undefined) return unit.outputVoltage
  const leg = legVolts(unit)
  return volts < 1.5 * leg ? leg : 2 * leg
}

export const nominalAt = (unit: Output, V_C: Derived): number =>
  nominalNear(unit, isFigure(V_C) ? V_C.x.value : undefined)
