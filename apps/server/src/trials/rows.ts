import type { Entry } from '@even-watt/contract'

/** Entries as the table takes them, column by column. */
export interface EntryRows {
  readonly ids: readonly string[]
  readonly revisions: readonly number[]
  readonly kinds: readonly string[]
  /** As JSON. */
  readonly bodies: readonly string[]
}

export const rowsOf = (entries: readonly Entry[]): EntryRows => ({
  ids: entries.map((entry) => entry.id),
  revisions: entries.map((entry) => entry.revision),
  kinds: entries.map((entry) => entry.kind),
  bodies: entries.map((entry) => JSON.stringify(entry)),
})
