import type { EntryOf, LimitOf } from '@even-watt/contract'
import type { StepFigures } from '../ladder'
import { deriveStep } from '../ladder'
import { onMeter } from '../motors'
import { remembering } from '../remember'
import { readingsOf, type Analysis, type RevisionRecord } from '../trials'

/** A test of limits of one kind, with its entry. */
export interface LimitEntry<T extends EntryOf<'limit'>['reading']['test']> {
  readonly entry: EntryOf<'limit'>
  readonly reading: LimitOf<T>
}

/** The tests of one kind on a revision, in order of time. */
export const testsOf = <T extends EntryOf<'limit'>['reading']['test']>(
  record: RevisionRecord,
  test: T,
): LimitEntry<T>[] =>
  readingsOf(record, 'limit').flatMap((entry) =>
    entry.reading.test === test ? [{ entry, reading: entry.reading as LimitOf<T> }] : [],
  )

/** How what ended an overload stands in the words of a step. */
const asEnd: Readonly<Record<LimitOf<'overload'>['ended'], Partial<EntryOf<'ladder'>['reading']>>> = {
  carried: { end: 'carried' },
  overload: { end: 'tripped', alarm: 'overload' },
  heat: { end: 'tripped', alarm: 'heat' },
  'low input': { end: 'tripped', alarm: 'low voltage' },
  BMS: { end: 'tripped' },
  fuse: { end: 'tripped' },
  breaker: { end: 'tripped' },
  'loads ended': { end: 'carried' },
  'stopped by hand': { end: 'stopped by hand' },
  'not known': { end: 'tripped', alarm: 'other' },
}

export interface Overload extends LimitEntry<'overload'> {
  /** Its figures, as those of a step. */
  readonly step: StepFigures
  /** A device in the path that was found open. */
  readonly opened: 'fuse' | 'breaker' | 'BMS' | undefined
}

const same = remembering<EntryOf<'limit'>, StepFigures>()

/** Overloads of one revision: each is a step of the ladder that ended where something gave up. */
export const overloadsOf = ({ record, ladder }: Pick<Analysis, 'record' | 'ladder'>): Overload[] =>
  testsOf(record, 'overload').map(({ entry, reading }) => ({
    entry,
    reading,
    step: same(entry, [ladder.context], () => deriveStep(asStep(entry, reading, record), ladder.context)),
    opened:
      reading.ended === 'fuse' || reading.ended === 'breaker' || reading.ended === 'BMS'
        ? reading.ended
        : undefined,
  }))

function asStep(entry: EntryOf<'limit'>, reading: LimitOf<'overload'>, { revision }: RevisionRecord) {
  const { watts, volts, inputVolts } = reading
  const values = [
    onMeter('P_C', watts, revision),
    ...(volts === undefined ? [] : [onMeter('V_C', volts, revision)]),
    ...(inputVolts === undefined ? [] : [onMeter('V_B', inputVolts, revision)]),
  ]
  const { id, at } = entry
  const readings: EntryOf<'ladder'>[] = [
    {
      id,
      at,
      revision: entry.revision,
      kind: 'ladder',
      reading: {
        step: id,
        position: 0,
        load: reading.load,
        kind: 'mixed',
        values,
        ...asEnd[reading.ended],
        ...(reading.lasted === undefined ? {} : { held: reading.lasted }),
      },
    },
  ]
  return { id, position: 0, readings, struck: [], captures: [] }
}
