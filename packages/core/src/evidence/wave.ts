import type { Entry, EntryOf, Revision, Unit, WaveClass } from '@even-watt/contract'
import { halfWidth } from '../meters'
import { remembering } from '../remember'
import { readingsOf, type RevisionRecord } from '../trials'
import { channelOf } from '../waveform/kept'
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

/** What the gate asks of each class. */
const asWave: Readonly<Record<WaveClass, Unit['wave']>> = {
  sine: 'sine',
  'distorted sine': 'unstated',
  stepped: 'stepped',
  square: 'stepped',
  'half-wave': 'unstated',
  unknown: 'unstated',
}

/** The worst wave that a capture of the unit's output shows; a picture shows it too. Undefined: none was captured. */
function waveCaptured(record: RevisionRecord): Unit['wave'] | undefined {
  const seen = new Set(
    readingsOf(record, 'capture').flatMap(({ id, reading }) => {
      const wave = channelOf(reading, 'V_C')?.wave
      return wave && reading.reference === undefined && !record.doubts.readings.has(id)
        ? [asWave[wave.class]]
        : []
    }),
  )
  return (['stepped', 'unstated', 'sine'] as const).find((one) => seen.has(one))
}

/**
 * The output wave as it was seen: as it was captured; else by the lowest and highest distortion that was read on a meter, beyond what that meter
 * may be wrong by; else as the label has it. A label that says sine is not believed against a meter.
 */
export function waveSeen(record: RevisionRecord): Unit['wave'] {
  const { revision } = record
  const { wave } = revision.unit
  const captured = waveCaptured(record)
  if (captured) return captured
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
