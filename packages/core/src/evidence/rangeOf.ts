import type { MeterRange, Quantity, StoredMeter, Value } from '@even-watt/contract'
import { rangeFor } from '../meters'
import { quantityData } from './quantities'

/**
 * The range that a value was read on: the one recorded with it, else the one that an autoranging meter takes. Undefined
 * where the meter, or the recorded range, does not read this quantity.
 */
export function rangeOf({ ranges }: Pick<StoredMeter, 'ranges'>, value: Value): MeterRange | undefined {
  const { reads } = quantityData[value.quantity]
  if (value.range === undefined) return rangeFor(ranges, reads, value.value)
  return ranges.find((range) => range.id === value.range && range.reads === reads)
}

/** The ranges of a meter that hold a value of a quantity, the smallest first: of two or more one is to be named. */
export const rangesThatHold = (
  { ranges }: Pick<StoredMeter, 'ranges'>,
  quantity: Quantity,
  value: number,
): MeterRange[] =>
  ranges
    .filter(({ reads, upTo }) => reads === quantityData[quantity].reads && Math.abs(value) <= upTo)
    .sort((a, b) => a.upTo - b.upTo)
