import { lazily } from './lazily'
import { remembering } from './remember'
import { allOf } from './subjects'
import type { Analysis, RevisionRecord, TrialRecord } from './trials'

const parts = Object.entries(allOf('parts'))
const analysed = remembering<RevisionRecord, Analysis>()

/**
 * The analysis of one revision. Parts are worked out when first asked for, so subjects may build on each other's in
 * any order; the same record gives the same analysis.
 */
export const analyse = (record: RevisionRecord): Analysis =>
  analysed(record, [], () => {
    const analysis: Analysis = lazily({
      record: () => record,
      ...Object.fromEntries(parts.map(([name, derive]) => [name, () => derive(analysis)])),
    } as { [K in keyof Analysis]: () => Analysis[K] })
    return analysis
  })

export const analyseTrial = (trial: TrialRecord): Analysis[] => trial.revisions.map(analyse)
