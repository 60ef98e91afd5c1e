import type { ClaimQuantity } from '@even-watt/contract'

/** Promises that logs and noise decide. */
export const judgedHere: ReadonlySet<ClaimQuantity> = new Set<ClaimQuantity>([
  'energy',
  'run time',
  'case temperature',
  'overload time',
  'noise',
  'cycles',
])
