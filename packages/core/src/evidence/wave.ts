import type { Unit } from '@even-watt/contract'
import { rangeFor, halfWidth } from '../meters'
import { readingsOf, type RevisionRecord } from '../trials'

/** Distortion from which a wave is no sine (docs/method/evidence.md). */
const sineBelow = 0.05

/**
 * The output wave as it was seen: by the lowest and highest distortion that was read on a meter, beyond what that meter
 * may be wrong by; else as the label has it. A label that says sine is not believed against a meter.
 */
export function waveSeen(record: RevisionRecord): Unit['wave'] {
  const { unit, meters } = record.revision
  const readings = [...readingsOf(record, 'no load'), ...readingsOf(record, 'ladder')]
  const bounds = readings.flatMap(({ reading }) =>
    reading.values.flatMap((value) => {
      if (value.quantity !== 'THD' || value.grade !== 'measured') return []
      const ranges = meters.find(({ id }) => id === value.meter)?.ranges ?? []
      const range = rangeFor(ranges, 'THD', value.value)
      if (!range) return []
      const half = halfWidth(range, value.value)
      return [{ low: value.value - half, high: value.value + half }]
    }),
  )
  if (bounds.some(({ low }) => low >= sineBelow)) return unit.wave === 'sine' ? 'unstated' : unit.wave
  if (bounds.length && bounds.every(({ high }) => high < sineBelow)) return 'sine'
  return unit.wave
}
