import type { EntryOf, LimitOf } from '@even-watt/contract'
import type { Alarm, Outcome } from '../blame'
import { deviceIn, type Device } from '../facts'
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
  record: Pick<RevisionRecord, 'standing'>,
  test: T,
): LimitEntry<T>[] =>
  readingsOf(record, 'limit').flatMap((entry) =>
    entry.reading.test === test ? [{ entry, reading: entry.reading as LimitOf<T> }] : [],
  )

interface Went {
  readonly became: Outcome
  readonly alarm: Alarm
  readonly device?: Device | undefined
}

/** How what ended an overload stands in the words that all moments share. */
const asEnd: Readonly<Record<LimitOf<'overload'>['ended'], Went>> = {
  carried: { became: 'carried', alarm: 'none' },
  overload: { became: 'tripped', alarm: 'overload' },
  heat: { became: 'tripped', alarm: 'heat' },
  'low input': { became: 'tripped', alarm: 'low voltage' },
  BMS: { became: 'tripped', alarm: 'none' },
  fuse: { became: 'tripped', alarm: 'none' },
  breaker: { became: 'tripped', alarm: 'none' },
  'loads ended': { became: 'carried', alarm: 'none' },
  'stopped by hand': { became: 'stopped by hand', alarm: 'none' },
  'not known': { became: 'tripped', alarm: 'other' },
}

export interface Overload extends LimitEntry<'overload'> {
  /** Its figures, as those of a step. */
  readonly step: StepFigures
  readonly went: Went & { readonly held: number | undefined }
}

const same = remembering<EntryOf<'limit'>, StepFigures>()

/** Overloads of one revision: each is a step of the ladder that ended where something gave up. */
export const overloadsOf = ({ record, ladder }: Pick<Analysis, 'record' | 'ladder'>): Overload[] =>
  testsOf(record, 'overload').map(({ entry, reading }) => ({
    entry,
    reading,
    step: same(entry, [ladder.context], () => deriveStep(asStep(entry, reading, record), ladder.context)),
    went: { ...asEnd[reading.ended], device: deviceIn(reading.ended), held: reading.lasted },
  }))

/** How it ended, in the words of a reading of a ladder. */
const endOf = ({ became, alarm }: Went): Partial<EntryOf<'ladder'>['reading']> => ({
  end: became === 'tripped' ? 'tripped' : became === 'stopped by hand' ? 'stopped by hand' : 'carried',
  ...(alarm === 'none' ? {} : { alarm }),
})

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
        ...endOf(asEnd[reading.ended]),
        ...(reading.lasted === undefined ? {} : { held: reading.lasted }),
      },
    },
  ]
  return { id, position: 0, readings, struck: [], captures: [] }
}
