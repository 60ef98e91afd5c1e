import type { BackupSummary } from '@even-watt/contract'

/** A table of which a backup holds the rows. */
export interface KeptTable {
  readonly name: string
  /** Its key, which puts the rows in an order. */
  readonly by: string
  /** Which of its rows; all where absent. */
  readonly only?: string
  /** Among what they are counted, for the tester. */
  readonly as?: Exclude<keyof BackupSummary, 'hash'>
}

const document = (name: string): KeptTable => ({ name, by: 'id', as: 'documents' })

/** All that a backup holds, in the order in which it can be put back: what is referred to comes first. */
export const kept: readonly KeptTable[] = [
  ...['unit', 'meter', 'rig', 'load', 'comparison', 'checklist', 'diary'].map(document),
  { name: 'trial', by: 'id', as: 'trials' },
  { name: 'revision', by: 'trial, number' },
  { name: 'entry', by: 'sequence', as: 'entries' },
  // The bytes stand beside the rows, each file under its own name; what has not come as a whole is sent again.
  { name: 'blob', by: 'sha256', only: 'whole', as: 'files' },
  { name: 'edition', by: 'id' },
  // What the bench chose; the rest of it is this computer's own business.
  { name: 'installation', by: 'key', only: `key in ('demo', 'settings')` },
]

/** What no backup holds, and why: every table of the database stands here or above. */
export const leftOut: Readonly<Record<string, string>> = {
  blob_part: 'the bytes of files, which a backup holds as files',
  device: 'who may come in is this computer’s own business',
  trial_told: 'worked out again when it is searched',
  capture_worked: 'captures of a file from elsewhere are worked again',
  migration: 'made anew with the schema',
}
