import * as z from 'zod/mini'
import { answered, whole } from './shared'

const count = (name: string) => whole(name, 0, Number.MAX_SAFE_INTEGER)

/** What a backup holds: counts, and one hash over all that was captured or attached. */
export const BackupSummary = z.object({
  trials: count('Trials'),
  entries: count('Entries'),
  documents: count('Documents'),
  files: count('Files'),
  hash: answered,
})
export type BackupSummary = z.infer<typeof BackupSummary>
