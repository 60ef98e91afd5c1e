import { formatName, formatVersion, madeBy, type AttachedFile, type TrialDocument } from '@even-watt/contract'
import { readingsCsv } from './csv'
import { figuresCsv } from './figuresCsv'
import { filesOf } from './filesOf'
import { entriesOf, type TrialText } from './text'

/** The document of a trial, as the text of a file. */
export function trialFile(text: TrialText, madeAt: string): string {
  const document: TrialDocument = {
    format: formatName,
    formatVersion,
    madeBy,
    madeAt,
    trial: text.trial,
    entries: entriesOf(text),
  }
  return JSON.stringify(document, null, 1)
}

/** What goes into an archive: the document, and the files that its entries name. */
export const packed = (text: TrialText, madeAt: string): { json: string; files: AttachedFile[] } => ({
  json: trialFile(text, madeAt),
  files: filesOf(entriesOf(text)),
})

export const readingsFile = (text: TrialText): string =>
  readingsCsv({ trial: text.trial, entries: entriesOf(text) })

export const figuresFile = (text: TrialText): string =>
  figuresCsv({ trial: text.trial, entries: entriesOf(text) })
