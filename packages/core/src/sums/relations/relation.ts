import type { QuantityId } from '../quantities'

/** Values of the quantities that a relation names, in the units they are kept in. */
export type Values<Q extends QuantityId = QuantityId> = Readonly<Record<Q, number>>

/** What holds between quantities: whichever one is missing follows from the others (docs/method/sums.md). */
export interface Relation {
  readonly of: readonly QuantityId[]
  /** As it is shown, in the symbols of its quantities. */
  readonly equation: string
  /** Nought where it holds. */
  readonly gap: (values: Values) => number
  /** What alone can follow from it, where it does not go backwards: a table, or a number rounded up. */
  readonly only?: QuantityId
}

/** Declares a relation; its gap sees the quantities that it names, and no others. */
export const relation = <const Q extends QuantityId>(
  of: readonly Q[],
  equation: string,
  gap: (values: Values<Q>) => number,
  only?: NoInfer<Q>,
): Relation => ({ of, equation, gap, ...(only ? { only } : {}) })
