import type { Refusal } from '../figures'
import type { EntryOf, Quantity } from '@even-watt/contract'
import { channelOf, farFrom, near, tensBetween, valuesIn, type Far } from '../waveform/kept'
import { readingsOf, type RevisionRecord } from '../trials'
import { legVolts, nominalNear } from './nominal'
import type { ReadingValues } from './readingValues'

type Reading = EntryOf<'ladder' | 'no load'>

/** The captures that belong to any of some readings, in order of time; a reference is of another source. */
export function capturesOf(
  record: RevisionRecord,
  readings: readonly { readonly id: string }[],
): readonly EntryOf<'capture'>[] {
  const ids = new Set(readings.map(({ id }) => id))
  return readingsOf(record, 'capture').filter(
    ({ reading: { about, reference } }) => about !== undefined && reference === undefined && ids.has(about),
  )
}

/** Mean of what meters read of a quantity in some readings; undefined: none did. */
function meanRead(readings: readonly Reading[], quantity: Quantity): number | undefined {
  const read = readings
    .flatMap(({ reading }) => reading.values)
    .filter((value) => value.quantity === quantity && value.grade === 'measured')
  return read.length ? read.reduce((sum, { value }) => sum + value, 0) / read.length : undefined
}

/** Amplitudes that stand or fall with each other: both come of one channel’s factor. */
const together: Readonly<Record<Far['of'], readonly Quantity[]>> = {
  V_C: ['V_C', 'P_C'],
  I_C: ['I_C', 'P_C'],
  P_C: ['I_C', 'P_C'],
  V_B: ['V_B'],
  I: ['I'],
}

/**
 * The amplitudes of a capture that are far from those of the readings beside it: a probe's or a clamp's factor is then wrong
 * (oddity 24). Volts at the outlet are held against the label too, where no meter read them.
 */
export function farAmong(
  entry: EntryOf<'capture'>,
  beside: readonly Reading[],
  { revision: { unit } }: Pick<RevisionRecord, 'revision'>,
): readonly Far[] {
  const nominal = nominalNear(unit, channelOf(entry.reading, 'V_C')?.rms ?? legVolts(unit))
  const volts = farFrom(entry.reading, meanRead(beside, 'V_C'), nominal)
  const others = valuesIn(entry, false).flatMap(({ quantity, value }): Far[] => {
    const of = (['I_C', 'P_C', 'V_B', 'I'] as const).find((one) => one === quantity)
    const read = of && meanRead(beside, of)
    if (!of || read === undefined || !(read > 0) || !(value > 0) || Math.abs(value / read - 1) <= near)
      return []
    return [{ of, captured: value, read, tens: tensBetween(value, read) }]
  })
  return [...(volts ? [volts] : []), ...others]
}

/** What captures read beside the readings they belong to, as values of their own entries (docs/method/waveform.md). */
export const capturedReadings = (
  captures: readonly EntryOf<'capture'>[],
  beside: readonly Reading[],
  record: Pick<RevisionRecord, 'revision'>,
): ReadingValues[] => {
  // With nothing connected there is no load that could come on, and what is captured of it is noise.
  const loaded = beside.some(({ kind }) => kind === 'ladder')
  return captures.map((entry) => {
    const far = farAmong(entry, beside, record)
    const left = new Set(far.flatMap(({ of }) => together[of]))
    return {
      entry: entry.id,
      values: valuesIn(
        entry,
        far.some(({ of }) => of === 'V_C'),
      ).filter(({ quantity }) => !left.has(quantity)),
      ...(loaded && !isSteady(entry.reading.figures) ? { refused: switchedIn } : {}),
    }
  })
}

const switchedIn: Refusal = {
  why: 'its load came on, or changed, while it was captured.',
  todo: 'Capture it once the load is steady.',
}

/** Watts or amps may change by this share from the beginning of a steady capture to its end. */
const steadyBy = 0.2
/** Points of a course from which a change is told. */
const tellsChange = 5

/** Whether the load of a capture was the same at its beginning and at its end: else its means are those of no load that there was. */
function isSteady({ course }: EntryOf<'capture'>['reading']['figures']): boolean {
  const load = course?.P ?? course?.I_C
  if (!load || load.length < tellsChange) return true
  const tenth = Math.ceil(load.length / 10)
  const mean = (part: readonly number[]) => part.reduce((sum, x) => sum + x, 0) / part.length
  const [first, last] = [mean(load.slice(0, tenth)), mean(load.slice(-tenth))]
  return Math.abs(first - last) <= steadyBy * Math.max(Math.abs(first), Math.abs(last))
}
