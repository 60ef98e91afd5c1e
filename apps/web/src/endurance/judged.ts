import type { ClaimQuantity } from '@even-watt/contract'

/** Promises that logs decide. */
export const judgedHere: ReadonlySet<ClaimQuantity> = new Set<ClaimQuantity>([
  'energy',
  'run time',
  'case temperature',
  'overload time',
  'cycles',
])
