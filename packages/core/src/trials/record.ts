import type { Entry, EntryOf, ReadingKind, Revision } from '@even-watt/contract'
import type { WorkedAgain } from './worked'

/** Readings that stand, by kind, in order of time. A kind of which none was taken has no list. */
export type Standing = ReadonlyMap<ReadingKind, readonly Entry[]>

/** Why readings are doubted, by what is said of them. */
export interface Doubts {
  /** By the id of the reading. */
  readonly readings: ReadonlyMap<string, string>
  /** By the id of the meter. */
  readonly meters: ReadonlyMap<string, string>
}

/** All that was captured on one revision of the rig. */
export interface RevisionRecord {
  /** Id of the trial: it tells the errors of this record's readings from those of other trials. */
  readonly trial: string
  readonly revision: Revision
  /** The records of the revisions before it, oldest first: a bank that was tested on one is known on the next. */
  readonly earlier: readonly RevisionRecord[]
  readonly standing: Standing
  readonly doubts: Doubts
  /** Whether a display that was checked may stand in for a meter. */
  readonly displayStandsIn: boolean
  /** Whether it is then corrected by what its checks found. */
  readonly displayCorrected: boolean
  /** Taken back or corrected, kept for the record. */
  readonly struck: readonly Entry[]
}

export interface TrialRecord {
  readonly revisions: readonly RevisionRecord[]
  /** Over all revisions. */
  readonly standing: Standing
  /** Why an entry no longer counts, by its id. */
  readonly struckWhy: ReadonlyMap<string, string>
  /** Oddities the tester looked at and kept, `entry|oddity` → why. */
  readonly kept: ReadonlyMap<string, string>
  /** Captures whose figures are not those they came with, by their id: what their bytes gave here. */
  readonly worked: ReadonlyMap<string, WorkedAgain>
}

/** The readings of one kind that stand, in order of time. */
export const readingsOf = <K extends ReadingKind>(
  { standing }: { readonly standing: Standing },
  kind: K,
): readonly EntryOf<K>[] => (standing.get(kind) ?? []) as readonly EntryOf<K>[]

/** Names of error sources that belong to one revision of one trial end in this. */
export const scopeOf = ({ trial, revision }: Pick<RevisionRecord, 'trial' | 'revision'>): string =>
  `${trial}|${revision.number}`

/** All readings of one kind, those taken back or corrected too, in order of time. */
export const recordedOf = <K extends ReadingKind>(
  record: Pick<RevisionRecord, 'standing' | 'struck'>,
  kind: K,
): readonly EntryOf<K>[] =>
  [...(record.standing.get(kind) ?? []), ...record.struck]
    .filter((entry) => entry.kind === kind)
    .sort((a, b) => (a.at < b.at ? -1 : 1)) as unknown as readonly EntryOf<K>[]
