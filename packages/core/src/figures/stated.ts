import { exact } from '../meters'
import { derive, type Derived, type Figure } from './figure'

/** A value that is stated, not read: what the label says, or what the mains of the place are. */
export const stated = (
  symbol: string,
  unit: Figure['unit'],
  value: number | undefined,
  why: string,
): Derived => (value === undefined ? { missing: why } : derive(symbol, unit, 'stated', [], exact(value)))
