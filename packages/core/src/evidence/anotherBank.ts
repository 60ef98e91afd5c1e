import type { Bank, Rig, Value } from '@even-watt/contract'
import { say, type Refusal } from '../figures'

/** V of a bank by what stands on its batteries; 0 where none does. */
export const bankNominal = ({ strings: [first = []] }: Pick<Bank, 'strings'>): number =>
  first.reduce((sum, { nominal }) => sum + nominal, 0)

/**
 * Shares of its nominal volts at which a bank is another one: half of them or less, far over them. Under the lower end something
 * opened, and the volts are right; between the two a start may pull them low for a moment.
 */
const half = [0.2, 0.6] as const
const over = 1.6

/**
 * Why volts of the input are not of the bank on the rig: 12.6 V where 24 V are described, or the other way round. Either the rig
 * was changed and not described, or the meter was: what rests on it decides nothing.
 */
export function ofAnotherBank(
  { bank }: Pick<Rig, 'bank'>,
  { quantity, value }: Pick<Value, 'quantity' | 'value'>,
): Refusal | undefined {
  if (quantity !== 'V_A' && quantity !== 'V_B') return undefined
  const nominal = bankNominal(bank)
  const share = nominal > 0 ? value / nominal : 1
  if ((share <= half[0] || share >= half[1]) && share <= over) return undefined
  return {
    why: `no bank of ${say(nominal, 'V')} stands at ${say(value, 'V')}.`,
    todo: 'Put the bank of the rig right, or the meter, and read it again.',
  }
}
