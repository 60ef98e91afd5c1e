import {
  formatVersion,
  TrialDocument,
  upgradeDocument,
  type Entry,
  type EntryOf,
  type Trial,
} from '@even-watt/contract'
import { ProblemError } from '../http/problem'
import { readJson } from '../http/readJson'
import { parse } from '../http/validate'
import { doNotFit, faultsIn } from './faults'
import { filesOf } from './filesOf'
import { rowsOf, type EntryRows } from './rows'

/** A trial from a file, checked as far as that can be without what is stored here. */
export interface TakenTrial {
  readonly trial: Trial
  readonly entries: EntryRows
  /** SHA-256 of the files that its entries name, each once. */
  readonly files: readonly string[]
  /** With their places among the entries. */
  readonly photographs: readonly (readonly [number, EntryOf<'photograph'>])[]
}

/** The document of a file from a stranger, or a problem that says what is wrong with it. */
export function readDocument(content: unknown): TrialDocument {
  const version =
    typeof content === 'object' && content !== null && 'formatVersion' in content
      ? content.formatVersion
      : undefined
  if (typeof version === 'number' && version > formatVersion) {
    throw new ProblemError(
      422,
      `This file is of format version ${version}; this Even Watt reads up to ${formatVersion}.`,
      'Open it with a newer Even Watt.',
    )
  }
  return parse(upgradeDocument(content), TrialDocument)
}

/** A trial file from its bytes, ready to be stored, or a problem; `what` names it where it is a part of one. */
export const readTrialFile = (bytes: Uint8Array, what?: string): TakenTrial =>
  takenOf(readDocument(readJson(bytes, what)))

/** What the contract cannot see of a whole document: its numbers follow on one another, its entries fit together. */
export function takenOf(document: TrialDocument): TakenTrial {
  const { trial } = document
  // What another installation made of captures is not taken over: their bytes come along, and are worked here.
  const entries = document.entries.filter(({ kind }) => kind !== 'worked again')
  const numbers = trial.revisions.map((revision) => revision.number)
  if (numbers.some((number, i) => number !== i + 1)) {
    throw new ProblemError(422, 'The rig revisions of this file are not numbered 1, 2, 3 …')
  }
  const fields = faultsIn(entries, new Set(numbers), new Set())
  if (fields.length) throw doNotFit('Some entries of this file do not fit its trial.', fields)
  if (new Set(entries.map((entry) => entry.id)).size !== entries.length) {
    throw new ProblemError(422, 'Two entries of this file have the same id.')
  }
  return {
    trial,
    entries: rowsOf(entries),
    files: filesOf(entries).map(({ sha256 }) => sha256),
    photographs: [...entries.entries()].filter(isPhotograph),
  }
}

const isPhotograph = (placed: [number, Entry]): placed is [number, EntryOf<'photograph'>] =>
  placed[1].kind === 'photograph'
