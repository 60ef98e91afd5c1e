import { remembering } from '../remember'
import type { Analysis, RevisionRecord } from '../trials'
import { attemptsIn, type AttemptFigures } from './attempt'
import type { Ended } from '../blame'
import { whoStopped } from './ended'

/** What was tried with machines on one rig. */
export interface MotorsAnalysis {
  readonly attempts: readonly (AttemptFigures & { readonly ended: Ended | undefined })[]
}

declare module '../trials/analysis' {
  interface Analysis {
    readonly motors: MotorsAnalysis
  }
}

const same = remembering<RevisionRecord, MotorsAnalysis>()

export const analyseMotors = (analysis: Analysis): MotorsAnalysis =>
  same(analysis.record, [], () => ({
    attempts: attemptsIn(analysis).map((attempt) => ({ ...attempt, ended: whoStopped(attempt, analysis) })),
  }))
