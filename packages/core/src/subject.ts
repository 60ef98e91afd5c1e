import type { ClaimQuantity, EntryOf, ReadingKind, Revision } from '@even-watt/contract'
import type { Promised } from './court'
import type { Figured } from './figured'
import type { Notice } from './oddities'
import type { Analysis, PartName } from './trials'

/** Cells of one reading in the CSV beside those that every reading has, by heading. */
export type CsvRow = Readonly<Record<string, string | number | undefined>>

/**
 * A kind of entry, and how its reading on a revision stands in a row of the CSV: of tests as the contract declares them; null: it
 * stands in none.
 */
type KindsBrought = {
  readonly [K in ReadingKind]?:
    ((reading: EntryOf<K>['reading'], revision: Revision) => CsvRow) | 'as declared' | null
}

/** What a subject brings to the whole. One folder each; one list names them (docs/adding-a-subject.md). */
export interface Subject {
  /** Kinds of entry that are its own. */
  readonly kinds?: KindsBrought
  /** Its parts of the analysis, from the record and the parts of others. */
  readonly parts?: { readonly [P in PartName]?: (analysis: Analysis) => Analysis[P] }
  /** The promises that its evidence decides, each with all that is known of its kind. */
  readonly promises?: { readonly [Q in ClaimQuantity]?: Promised }
  /** The figures that it works out, by name (docs/method/catalogue.md). */
  readonly figures?: readonly Figured[]
  /** What it notices by itself. */
  readonly oddities?: readonly Notice[]
}
