import type { Entry, Trial } from '@even-watt/contract'
import { analyseTrial } from './analyse'
import { findAll, type ClaimFindings } from './judge'
import { lazily } from './lazily'
import { notice } from './notice'
import type { Oddity } from './oddities'
import { replay, type Analysis, type TrialRecord } from './trials'

/** Everything that follows from a trial's record, the same for screen, report and export. */
export interface TrialView {
  readonly record: TrialRecord
  readonly analyses: readonly Analysis[]
  readonly findings: readonly ClaimFindings[]
  /** By revision, in the order of the analyses. */
  readonly oddities: readonly (readonly Oddity[])[]
}

/**
 * Computes a trial from its entries. The order of entries does not matter; revisions that stayed as they were are not
 * worked again, and findings and oddities only when they are first asked for.
 */
export function viewTrial(trial: Trial, entries: readonly Entry[]): TrialView {
  const record = replay(trial, entries)
  const analyses = analyseTrial(record)
  return lazily({
    record: () => record,
    analyses: () => analyses,
    findings: () => findAll(analyses, trial),
    oddities: () => analyses.map((analysis) => notice(analysis, trial.plan)),
  })
}
