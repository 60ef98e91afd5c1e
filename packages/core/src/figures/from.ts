import { isFigure, type Derived, type Figure } from './figure'

/** Computes from figures when all of them are known; else says which one is missing first. */
export function whenKnown<const T extends readonly Derived[]>(
  needs: T,
  compute: (figures: { [K in keyof T]: Figure }) => Derived,
): Derived {
  const missing = needs.find((need) => !isFigure(need))
  if (missing && !isFigure(missing)) return missing
  return compute(needs as unknown as { [K in keyof T]: Figure })
}
