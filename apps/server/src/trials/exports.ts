import {
  formatName,
  formatVersion,
  madeBy,
  type AttachedFile,
  type Settings,
  type TrialDocument,
} from '@even-watt/contract'
import { readingsCsv } from './csv'
import { figuresCsv } from './figuresCsv'
import { filesOf } from './filesOf'
import { entriesOf, type TrialText } from './text'

/** Files are handed on as bytes: to write tens of megabytes out takes longer than others may wait. */
const written = (text: string): Uint8Array => new TextEncoder().encode(text)

/** The document of a trial, as the bytes of a file. */
export function trialFile(text: TrialText, madeAt: string): Uint8Array {
  const document: TrialDocument = {
    format: formatName,
    formatVersion,
    madeBy,
    madeAt,
    trial: text.trial,
    entries: entriesOf(text),
  }
  return written(JSON.stringify(document, null, 1))
}

/** What goes into an archive: the document, and the files that its entries name. */
export const packed = (text: TrialText, madeAt: string): { json: Uint8Array; files: AttachedFile[] } => ({
  json: trialFile(text, madeAt),
  files: filesOf(entriesOf(text)),
})

export const readingsFile = (text: TrialText): Uint8Array =>
  written(readingsCsv({ trial: text.trial, entries: entriesOf(text) }))

/** With the columns that the trial chose, else those of the bench. */
export const figuresFile = (
  text: TrialText,
  { columns, mains }: Partial<Pick<Settings, 'columns' | 'mains'>>,
): Uint8Array =>
  written(figuresCsv({ trial: text.trial, entries: entriesOf(text) }, text.trial.columns ?? columns, mains))
