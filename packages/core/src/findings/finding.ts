import type { Claim, Limiter, LimiterSet, Outcome, TrialSettings } from '@even-watt/contract'
import type { Figure } from '../figures'
import type { Analysis } from '../trials'

/** What the evidence of one rig revision says of one claim. */
export interface Finding {
  readonly claim: Claim
  readonly revision: number
  readonly outcome: Outcome
  /** With the figure in it, and what to do. */
  readonly sentence: string
  /** The figure that decided. */
  readonly figure?: Figure
  readonly limiter?: Limiter
  readonly wouldShow?: string
  /** The step that ended the test, for splitting what it lost. */
  readonly step?: string
}

/** What a judge answers; claim and revision are added by whoever asks. */
export type Verdict = Omit<Finding, 'claim' | 'revision'>

export interface Evidence {
  readonly claim: Claim
  readonly analysis: Analysis
  readonly settings: Pick<TrialSettings, 'hold'>
  /** Set by hand for this claim on this revision. */
  readonly limiter: LimiterSet | undefined
}

export type Judge = (evidence: Evidence) => Verdict

export const notTested = (sentence: string): Verdict => ({ outcome: 'not tested', sentence })

/** A figure that is not measured settles no claim. */
export const notMeasured = (figure: Figure): Verdict => ({
  outcome: 'not tested',
  figure,
  sentence: `${figure.symbol} is only ${figure.grade === 'display' ? 'the unit’s own display' : figure.grade}; a measured value is needed to decide.`,
})

/** "Not shown", by the limiter set by hand or else the one the readings suggest. */
export function notShown(
  evidence: Evidence,
  suggested: Limiter,
  why: string,
  wouldShow: string,
  figure?: Figure,
): Verdict {
  const limiter = evidence.limiter?.limiter ?? suggested
  const would = evidence.limiter?.wouldShow ?? wouldShow
  return {
    outcome: 'not shown',
    limiter,
    wouldShow: would,
    ...(figure ? { figure } : {}),
    sentence: `Not shown: ${limiter}-limited. ${why} ${would}`.trim(),
  }
}
