import type { ClaimQuantity } from '@even-watt/contract'

/** Promises that tests of limits decide. */
export const judgedHere: ReadonlySet<ClaimQuantity> = new Set<ClaimQuantity>([
  'surge power',
  'alarm voltage',
  'cutoff voltage',
  'overload trip',
  'recovery',
  'start-up time',
  'soft start',
  'ground-fault test',
])
