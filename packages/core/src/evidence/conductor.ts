import type { Rig, Value } from '@even-watt/contract'

/**
 * Why current of the unit that is read on a battery's own cable is not the unit's (docs/method/evidence.md); undefined
 * where it is, or where the conductor is not a battery's.
 */
export function otherCurrent(rig: Rig, on: string | undefined): string | undefined {
  if (on === undefined || !rig.bank.strings.flat().some(({ id }) => id === on)) return undefined
  if (rig.support)
    return 'With a charger or alternator on the bank, a battery’s own cable carries the bank’s current, not the unit’s.'
  if (rig.bank.strings.length > 1) return 'One battery of several carries only its share.'
  return undefined
}

/** The same for one value, by the conductor its meter is said to be on. */
export function readsOtherCurrent(rig: Rig, { quantity, meter }: Value): string | undefined {
  if (quantity !== 'I') return undefined
  const hung = rig.assignments.filter((one) => one.meter === meter)
  const asCurrent = hung.filter((one) => one.quantity === 'I' || one.quantity === 'idle I')
  // Hung up twice, once where only the unit's current flows: it may be that one.
  const reasons = asCurrent.map(({ on }) => otherCurrent(rig, on))
  return reasons.every((reason) => reason !== undefined) ? reasons[0] : undefined
}

/** Whether the bank's current is the unit's: nothing helps it, and its ammeter is not on one battery of several. */
export const bankCarriesAll = (rig: Rig): boolean =>
  !rig.support &&
  rig.assignments.every(({ quantity, on }) => quantity !== 'I_bank' || otherCurrent(rig, on) === undefined)
