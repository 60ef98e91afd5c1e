import type { MotorAttempt } from '@even-watt/contract'
import { outputVoltage, type UnitModel } from '../units/unit'

export interface MotorModel {
  readonly name: string
  readonly watts: number
  /** Worst-cycle RMS current over running RMS current. */
  readonly inrush: number
  readonly powerFactor: number
}

/**
 * A start as a current limit sees it: the inrush the motor wants at the sagging voltage, cut at the surge the unit
 * gives. Starts below that surge, starts late up to 1.3 times, trips beyond.
 */
export function start(
  unit: UnitModel,
  motor: MotorModel,
  surge: number,
  base: number,
): Pick<MotorAttempt, 'lowestOutput' | 'peakCurrent' | 'outcome'> {
  const nominal = unit.noLoadVoltage
  const running = motor.watts / motor.powerFactor / nominal
  const wanted = running * motor.inrush * nominal
  const given = Math.min(wanted, surge - base)
  const sagged = outputVoltage(unit, base + given) * Math.sqrt(given / wanted)
  return {
    lowestOutput: Number(sagged.toFixed(1)),
    peakCurrent: Number(((given / sagged) * Math.SQRT2).toFixed(1)),
    outcome: wanted + base <= surge ? 'started' : wanted + base <= 1.3 * surge ? 'started late' : 'tripped',
  }
}
