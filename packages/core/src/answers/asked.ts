import type { Quantity } from '@even-watt/contract'

/** What a question never needs of a load. */
const beside: ReadonlySet<Quantity> = new Set(['f', 'THD', 'T'])
/** What watts at the outlet stand in for. */
const insteadOfWatts: ReadonlySet<Quantity> = new Set(['I_C', 'PF'])

/** Of the quantities that are hung, those that a question asks for: as few as answer it. */
export const neededOf = (hung: readonly Quantity[]): Quantity[] =>
  hung.filter((quantity) => !beside.has(quantity) && !(insteadOfWatts.has(quantity) && hung.includes('P_C')))
