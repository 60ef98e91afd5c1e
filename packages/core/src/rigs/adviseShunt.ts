import type { Revision } from '@even-watt/contract'
import { usualEfficiency } from '../facts'
import { bankNominal } from '../supply'
import { ratedPower } from '../units'

/** A of shunts as they are sold, and mV that each drops at them. */
const sold = [50, 100, 150, 200, 300, 500, 1000] as const
const drop = 0.075
/** What is usual where nothing is known: share of the nominal volts at full load, of the rating at idle. */
const usual = { volts: 0.95, idle: 0.01 } as const
/** Counts that an idle current must have to be worth reading. */
const fewest = 20

export interface ShuntAdvice {
  /** A into the unit at its rating, by what is usual. */
  readonly full: number
  /** A of the shunt, and V that it then drops at them. */
  readonly size: number
  readonly drop: number
  /** A into the unit with nothing connected, by what is usual, and what one count must be to read it. */
  readonly idle: number
  readonly count: number
  /** V of that count across the shunt. */
  readonly countVolts: number
}

/**
 * Which shunt reads a unit’s input, from its rating and the volts of its bank (docs/method/rigs.md): the smallest that is sold for
 * the amps at its rating, and how fine the meter across it must be for idle. Undefined: no rating, or no bank of known volts.
 *
 * _Worked:_ 1400 W on 24 V: 72 A, a shunt of 100 A, 75 mV; idle about 0.58 A, so a count of 0.03 A, 22 µV.
 */
export function adviseShunt({ unit, rig }: Pick<Revision, 'unit' | 'rig'>): ShuntAdvice | undefined {
  const watts = ratedPower(unit)
  const volts = bankNominal(rig.bank)
  if (!watts || !(volts > 0)) return undefined
  const full = watts / (usualEfficiency * usual.volts * volts)
  const size = sold.find((amps) => amps >= full)
  if (size === undefined) return undefined
  const idle = (usual.idle * watts) / volts
  const count = idle / fewest
  return { full, size, drop, idle, count, countVolts: (count * drop) / size }
}
