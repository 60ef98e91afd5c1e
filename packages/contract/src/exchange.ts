import * as z from 'zod/mini'
import { Entry, mostEntries } from './entries'
import { formatName, formatVersion } from './format'
import { instant, words } from './shared'
import { Trial } from './trials'

/** A trial as one document: all that is needed to compute every figure again. */
export const TrialDocument = z.object({
  format: z.literal(formatName, `Format: this is not an Even Watt trial ("${formatName}").`),
  formatVersion: z.literal(formatVersion),
  madeBy: words('Made by', 60),
  madeAt: instant('Made at'),
  trial: Trial,
  entries: z.array(Entry).check(z.maxLength(mostEntries, `Entries: ${mostEntries} at most.`)),
})
export type TrialDocument = z.infer<typeof TrialDocument>

/** The published JSON Schema of the document. */
export const trialJsonSchema = () => ({
  $id: `even-watt-trial-${formatVersion}.schema.json`,
  title: `Even Watt trial, format version ${formatVersion}`,
  ...z.toJSONSchema(TrialDocument, { io: 'input', unrepresentable: 'any' }),
})
