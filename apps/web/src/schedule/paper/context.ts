import type { Entry, EntryOf, StoredLoad } from '@even-watt/contract'

/** What a row is read back with. */
export interface Context {
  readonly newId: () => string
  readonly revision: number
  /** The moment that the time written means, ISO. */
  readonly at: string
  readonly position: number
  readonly attempt: number
  readonly loads: readonly StoredLoad[]
  /** The log that the first line of this table began, once it is taken over. */
  readonly log: EntryOf<'log'> | undefined
}

export interface Read {
  /** What is captured of a row, in this order; nothing while anything is wrong. */
  readonly entries: readonly Entry[]
  /** Sentences by column. */
  readonly faults: Readonly<Record<string, string>>
}
