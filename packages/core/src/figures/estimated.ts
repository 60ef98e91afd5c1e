import type { Uncertain } from '../meters'
import { derive, isFigure, type Derived, type Figure } from './figure'

/** A stated value as a figure that is only an estimate until it is measured. */
export function estimated(
  symbol: string,
  unit: Figure['unit'],
  x: Uncertain,
  formula: string,
  notes: readonly string[] = [],
): Derived {
  const figure = derive(symbol, unit, formula, [], x, notes)
  return isFigure(figure) ? { ...figure, grade: 'estimated' } : figure
}
