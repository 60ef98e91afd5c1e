import type { Revision } from '@even-watt/contract'
import type { Figure } from '../figures'
import { exact, flicker, measured, rangeFor, type Uncertain } from '../meters'

const reads = { V: 'DC voltage', A: 'DC current', W: 'active power' } as const

/**
 * One value, read once on one meter, as a figure; without a meter its uncertainty is not known. Read only once, its
 * last digit may have flickered: that stands beside the rounding.
 */
export function readOn(
  symbol: string,
  unit: keyof typeof reads,
  value: number,
  meterId: string | undefined,
  entry: string,
  revision: Revision,
  where: string,
): Figure {
  const meter = revision.meters.find((candidate) => candidate.id === meterId)
  const range = meter && rangeFor(meter.ranges, reads[unit], value)
  const x: Uncertain =
    meter && range
      ? measured({ values: [value], spread: flicker(range.count) }, meter.id, range, symbol, where)
      : exact(value)
  return {
    symbol,
    unit,
    x,
    grade: 'measured',
    working: {
      formula: `${symbol} read on ${meter?.name ?? 'no named meter'}`,
      inputs: [],
      notes: range ? [] : ['No meter is named, so its uncertainty is not known.'],
      entries: [entry],
    },
  }
}
