import type { Entry, EntryOf, Revision, Unit } from '@even-watt/contract'
import { halfWidth } from '../meters'
import { remembering } from '../remember'
import { readingsOf, type RevisionRecord } from '../trials'
import { rangeOf } from './rangeOf'

/** Distortion from which a wave is no sine (docs/method/evidence.md). */
const sineBelow = 0.05

interface Bounds {
  readonly low: number
  readonly high: number
}

const sameBounds = remembering<Entry, Bounds | undefined>()

/** Between what values the distortion lies that was read in one entry; undefined where none was, on a meter. */
const boundsIn = (entry: EntryOf<'ladder' | 'no load'>, revision: Revision): Bounds | undefined =>
  sameBounds(entry, [revision], () => {
    const value = entry.reading.values.find(
      ({ quantity, grade }) => quantity === 'THD' && grade === 'measured',
    )
    const meter = value && revision.meters.find(({ id }) => id === value.meter)
    const range = meter && rangeOf(meter, value)
    if (!range) return undefined
    const half = halfWidth(range, value.value)
    return { low: value.value - half, high: value.value + half }
  })

/**
 * The output wave as it was seen: by the lowest and highest distortion that was read on a meter, beyond what that meter
 * may be wrong by; else as the label has it. A label that says sine is not believed against a meter.
 */
export function waveSeen(record: RevisionRecord): Unit['wave'] {
  const { revision } = record
  const { wave } = revision.unit
  let seen = false
  let sine = true
  for (const kind of ['no load', 'ladder'] as const)
    for (const entry of readingsOf(record, kind)) {
      const bounds = boundsIn(entry, revision)
      if (!bounds) continue
      if (bounds.low >= sineBelow) return wave === 'sine' ? 'unstated' : wave
      seen = true
      sine &&= bounds.high < sineBelow
    }
  return seen && sine ? 'sine' : wave
}
