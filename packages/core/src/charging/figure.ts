import type { Value } from '@even-watt/contract'
import { quantityData, rangeOf } from '../evidence'
import type { Figure } from '../figures'
import { halfWidth, methodSource, rectangular, specificationSource, uncertain } from '../meters'
import type { Analysis } from '../trials'

/** A value of an input as a figure, on its meter. */
export function inputFigure(value: Value, entry: string, { evidence, record }: Analysis): Figure {
  const meter = record.revision.meters.find(({ id }) => id === value.meter)
  const range = meter && rangeOf(meter, value)
  const refused = evidence.gate(value, entry)
  return {
    symbol: value.quantity,
    unit: quantityData[value.quantity].unit,
    x:
      meter && range
        ? uncertain(
            value.value,
            specificationSource(meter.id, range.id),
            rectangular(halfWidth(range, value.value)),
          )
        : uncertain(value.value, methodSource('no meter', entry), 0),
    grade: value.grade,
    ...(refused ? { refused } : {}),
    working: {
      formula: `${value.quantity} read on ${meter?.name ?? 'no named meter'}`,
      inputs: [],
      notes: [],
      entries: [entry],
    },
  }
}
