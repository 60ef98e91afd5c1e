import type { Claim, Limiter, LimiterSet, Outcome, TrialSettings } from '@even-watt/contract'
import type { Figure } from '../figures'
import type { Analysis } from '../trials'

/** What is asked: one promise on one rig. */
export interface Asked {
  readonly claim: Claim
  readonly analysis: Analysis
  readonly settings: Pick<TrialSettings, 'hold'>
  /** The leg of a split phase that is asked about, where a promise is of each. */
  readonly leg?: 'L1' | 'L2' | undefined
  /** Set by hand for this claim on this revision. */
  readonly limiter: LimiterSet | undefined
}

/** What the evidence of one rig revision says of one claim, in words too. */
export interface Finding {
  readonly claim: Claim
  readonly revision: number
  readonly outcome: Outcome
  /** What it was found by, for tests and for whoever sorts: no word of it is shown. */
  readonly code: string
  /** Of the outcome named, where the evidence decides. */
  readonly probability?: number
  /** With the figure in it, and what to do. */
  readonly sentence: string
  /** What the label leaves out, and what the readings were taken at. */
  readonly conditions?: string
  /** The figure that decided. */
  readonly figure?: Figure
  readonly limiter?: Limiter
  readonly wouldShow?: string
  /** The step that ended the test, for splitting what it lost. */
  readonly step?: string
}
