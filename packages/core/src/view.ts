import type { Entry, Trial } from '@even-watt/contract'
import { analyseTrial } from './analyse'
import { findAll, type ClaimFindings } from './judge'
import { lazily } from './lazily'
import { notice, noticing } from './notice'
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

/**
 * Works out, piece by piece, all that a view only promises, so that reading it afterwards costs nothing. Each yield is
 * a place to pause: a page does it between frames, for on a long ladder the whole would hold up the hand.
 */
export function* workOut(view: TrialView, { plan }: Trial): Generator<void, void> {
  for (const analysis of view.analyses) {
    for (const part of namesIn(analysis)) {
      const promised = analysis[part]
      yield
      for (const name of namesIn(promised)) {
        void promised[name]
        yield
      }
    }
    yield* noticing(analysis, plan)
  }
  void view.findings
  yield
  void view.oddities
}

const namesIn = <T extends object>(whole: T) => Object.keys(whole) as (keyof T)[]
