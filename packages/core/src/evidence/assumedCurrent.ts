import type { Rig } from '@even-watt/contract'
import { derive, isFigure, type Derived, type Figure } from '../figures'
import { combine, methodSource, rectangular, uncertain } from '../meters'

/** Efficiencies between which an inverter is assumed to lie where nothing reads its input current. */
const assumedEfficiency = { low: 0.75, high: 0.97 }

/** What on a rig tells the input current: an ammeter, or a counter of watts, amp-hours or watt-hours at the terminals. */
const tellCurrent: ReadonlySet<string> = new Set(['I', 'I_bank', 'P_B', 'Q_B', 'E_B'])

/** Whether a rig says which meters it has, and none of them tells the input current. */
export const withoutAmmeter = ({ assignments }: Pick<Rig, 'assignments'>): boolean =>
  assignments.length > 0 && !assignments.some(({ quantity }) => tellCurrent.has(quantity))

/**
 * Input amps bounded by an assumed efficiency, I = P_C/(η·V) (docs/method/evidence.md): marked estimated, so that it and
 * what follows from it settle no claim. `where` names the reading, whose efficiency is its own.
 */
export function assumedCurrent(P_C: Figure, volts: Figure, where: string): Derived {
  const { low, high } = assumedEfficiency
  const eta = (low + high) / 2
  const I = P_C.x.value / (eta * volts.x.value)
  const x = combine(I, [
    [P_C.x, I / P_C.x.value],
    [volts.x, -I / volts.x.value],
    [uncertain(0, methodSource('assumed efficiency', where), rectangular((high - low) / 2 / eta)), I],
  ])
  const figure = derive('I', 'A', `P_C / (η·${volts.symbol})`, [P_C, volts], x, [
    `No DC ammeter read it: η assumed between ${low * 100} and ${high * 100} %.`,
  ])
  return isFigure(figure) ? { ...figure, grade: 'estimated' } : figure
}
