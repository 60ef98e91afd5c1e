import type { StoredLoad, Unit } from '@even-watt/contract'
import {
  legVolts,
  predictedInrush,
  startGround,
  willItStart,
  type Analysis,
  type StartAnswer,
} from '@even-watt/core'

/** A machine of the shelf that was not tried on this rig yet. */
export interface Untried {
  readonly load: StoredLoad
  /** VA that its start asks for, at most. */
  readonly asks: number
  /** Only what is usual for its kind says so. */
  readonly isUsual: boolean
  readonly expected: StartAnswer
}

/** Volts that the outlets of a unit have: of a split phase one leg, and both. */
export const outletVolts = (unit: Unit): readonly number[] =>
  unit.phase === 'split' ? [legVolts(unit), 2 * legVolts(unit)] : [unit.outputVoltage]

/** Machines of the shelf for this unit's volts that were not tried yet, from light to heavy, with what is expected. */
export function untriedFrom(shelf: readonly StoredLoad[], analysis: Analysis): Untried[] {
  const volts = outletVolts(analysis.record.revision.unit)
  const tried = new Set(analysis.motors.attempts.map(({ entry }) => entry.reading.load.toLowerCase()))
  const ground = startGround(analysis)
  return shelf
    .flatMap((load): Untried[] => {
      const inrush = predictedInrush(load)
      const fits = volts.some((one) => Math.abs(one / load.volts - 1) < 0.15)
      if (!inrush || !fits || tried.has(load.name.toLowerCase())) return []
      const asks = Number.isFinite(inrush.to) ? inrush.to : inrush.from
      return [{ load, asks, isUsual: inrush.isUsual ?? false, expected: willItStart(load, ground) }]
    })
    .sort((a, b) => a.asks - b.asks)
}
