import type { Entry, Trial } from '@even-watt/contract'
import { findAll, type ClaimFindings } from '../findings'
import { analyseTrial, type Analysis } from '../ladder'
import { notice, type Oddity } from '../oddities'
import { replay, type TrialRecord } from '../trials'

/** Everything that follows from a trial's record, the same for screen, report and export. */
export interface TrialView {
  readonly record: TrialRecord
  readonly analyses: readonly Analysis[]
  readonly findings: readonly ClaimFindings[]
  /** By revision, in the order of the analyses. */
  readonly oddities: readonly (readonly Oddity[])[]
}

/** Computes a trial anew from its entries. The order of entries does not matter. */
export function viewTrial(trial: Trial, entries: readonly Entry[]): TrialView {
  const record = replay(trial, entries)
  const analyses = analyseTrial(record)
  return {
    record,
    analyses,
    findings: findAll(analyses, trial),
    oddities: analyses.map((analysis) => notice(analysis, trial.plan)),
  }
}
