import type { Bank, Battery, Chemistry } from '@even-watt/contract'
import { isLithium, stringCapacity } from './bank'

/** Peukert exponents usual for their kind, where none is stated. */
/** Of a battery whose kind is not known the worst is taken. */
const usualPeukert: Record<Chemistry, number> = {
  'lithium iron phosphate': 1,
  'other lithium': 1,
  AGM: 1.12,
  gel: 1.15,
  'flooded lead-acid': 1.2,
  'not known': 1.2,
}

const usualHours = 20

/** Hours that a lead-acid battery of C Ah at H hours lasts at I amps: H·(C/(I·H))^k, never giving more than C (docs/method/supply.md). */
export function peukertHours(C: number, H: number, k: number, I: number): number {
  if (!(I > 0)) return Infinity
  return Math.min(H * (C / (I * H)) ** k, C / I)
}

/**
 * Ah that a battery gives at a steady current, A: by Peukert for lead-acid, by its maker's derating for lithium. At no
 * current it gives all it is stated for. Undefined while its capacity is not known.
 */
export function deliverable(battery: Battery, I: number): number | undefined {
  const { capacity, chemistry } = battery
  if (capacity === undefined) return undefined
  if (isLithium(chemistry)) return capacity * (battery.derating ?? 1)
  if (!(I > 0)) return capacity
  const k = battery.peukert ?? usualPeukert[chemistry]
  return I * peukertHours(capacity, battery.rateHours ?? usualHours, k, I)
}

/**
 * Ah that a bank gives at a steady current at its take-off, A. Each string carries its share by size; in a string the
 * weakest battery ends it. Batteries that are cut off give nothing. Undefined while a capacity is not known.
 */
export function bankDeliverable(bank: Bank, I: number): number | undefined {
  const strings = bank.strings.filter((string) => string.every(({ open }) => !open))
  const sizes = strings.flatMap((string) => stringCapacity(string) ?? [])
  if (sizes.length < strings.length) return undefined
  const all = sizes.reduce((sum, size) => sum + size, 0)
  return strings.reduce((sum, string, i) => {
    const share = (I * (sizes[i] ?? 0)) / all
    return sum + Math.min(...string.flatMap((battery) => deliverable(battery, share) ?? []))
  }, 0)
}

/** Charge put in over charge taken out again. */
const chargeEfficiency = (bank: Bank): number =>
  bank.strings.flat().every(({ chemistry }) => isLithium(chemistry)) ? 0.99 : 0.87

/** Share of charge above which a charger's current falls in proportion to what is still missing (docs/method/supply.md). */
export const taperFrom = 0.9

/** What counts as full: the last per cent of an exponential never comes. */
export const full = 0.99

/** How fast a bank fills at I amps of charging when the given share is in, share per s; 0 while its capacity is not known. */
export function chargeRate(bank: Bank, I: number, charge: number): number {
  const capacity = bankDeliverable(bank, 0) ?? 0
  const tapered = charge < taperFrom ? 1 : Math.max(0, (1 - charge) / (1 - taperFrom))
  return capacity > 0 ? (I * tapered * chargeEfficiency(bank)) / (capacity * 3600) : 0
}

/** s to charge from one share to another at I amps; 0 when it is there already, Infinity at or above 1, or without current. */
export function secondsToCharge(bank: Bank, I: number, from: number, to: number): number {
  if (to <= from) return 0
  const rate = chargeRate(bank, I, 0)
  if (!(rate > 0) || to >= 1) return Infinity
  const steady = Math.max(0, Math.min(to, taperFrom) - from) / rate
  if (to <= taperFrom) return steady
  const missing = 1 - Math.max(from, taperFrom)
  return steady + ((1 - taperFrom) / rate) * Math.log(missing / (1 - to))
}

/** The share that is in after charging for some seconds from a share. */
export function chargedAfter(bank: Bank, I: number, from: number, seconds: number): number {
  const rate = chargeRate(bank, I, 0)
  if (!(rate > 0)) return from
  const steady = Math.max(0, taperFrom - from) / rate
  if (seconds <= steady) return from + rate * seconds
  const start = Math.max(from, taperFrom)
  return 1 - (1 - start) * Math.exp((-(seconds - steady) * rate) / (1 - taperFrom))
}
