import type { Capture, EntryOf, MeterRange, StoredMeter } from '@even-watt/contract'

/** A scope or sound card as the meters of a trial see it: what it captured is read on it like on any meter. */

/** An id that follows from a name, so that all captures of one instrument share its errors. */
export function instrumentId(name: string): string {
  // FNV-1a, four times over from different beginnings.
  const hex = [0, 1, 2, 3].map((seed) => {
    let hash = 0x811c9dc5 ^ (seed * 0x9e3779b9)
    for (const letter of `capture|${name}`) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193)
    return (hash >>> 0).toString(16).padStart(8, '0')
  })
  const digits = hex.join('')
  return `${digits.slice(0, 8)}-${digits.slice(8, 12)}-8${digits.slice(13, 16)}-a${digits.slice(17, 20)}-${digits.slice(20)}`
}

const range = (
  id: string,
  reads: MeterRange['reads'],
  percent: number,
  count: number,
  counts = 0,
): MeterRange => ({
  id,
  reads,
  upTo: 1e7,
  percent,
  counts,
  count,
  response: 'true RMS',
  standsSteppedWave: true,
})

/** A clock’s share, and what a skew between two channels may do to a power factor. */
const clock = 0.01
const skew = 0.005
/** Share of a distortion that the steps of a converter, unequal as they are, may add or hide. */
const unequal = 2

/** The range of one capture's distortion: its floor is its own. */
export const distortionRange = (entry: string): string => `THD|${entry}`

/**
 * The instrument of some captures as a meter: its amplitudes common to all of them, its distortions each with the floor that
 * was measured in it (docs/method/waveform.md).
 */
export function instrumentOf(captures: readonly EntryOf<'capture'>[]): StoredMeter | undefined {
  const last = captures.at(-1)
  if (!last) return undefined
  const { instrument } = last.reading
  const { percent } = instrument
  const floors = captures.flatMap(({ id, reading }) => {
    const floor = floorOf(reading)
    return floor === undefined ? [] : [range(distortionRange(id), 'THD', unequal, Math.max(floor, 1e-6), 1)]
  })
  return {
    id: instrumentId(instrument.name),
    version: 1,
    savedAt: last.at,
    name: instrument.name,
    needsZeroing: false,
    ...(instrument.typical ? { typical: true } : {}),
    ranges: [
      range('AC voltage', 'AC voltage', percent, 0.01),
      range('AC current', 'AC current', percent, 0.001),
      range('DC voltage', 'DC voltage', percent, 0.001),
      range('DC current', 'DC current', percent, 0.001),
      // Both channels may be off the same way.
      range('active power', 'active power', 2 * percent, 0.01),
      range('power factor', 'power factor', 0, skew, 1),
      range('frequency', 'frequency', clock, 0.001),
      ...floors,
    ],
  }
}

const floorOf = ({ figures }: Capture) =>
  figures.channels.find(({ quantity }) => quantity === 'V_C')?.wave?.floor
