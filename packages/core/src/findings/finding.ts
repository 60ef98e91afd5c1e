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
  /** What the label leaves out, and what the readings were taken at. */
  readonly conditions?: string
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
  /** The leg of a split phase that is asked about, where a promise is of each. */
  readonly leg?: 'L1' | 'L2' | undefined
  /** Set by hand for this claim on this revision. */
  readonly limiter: LimiterSet | undefined
}

export type Judge = (evidence: Evidence) => Verdict

export const notTested = (sentence: string): Verdict => ({ outcome: 'not tested', sentence })

/** A figure that is not measured, or that the gate refused, settles no claim. */
export function undecided(figure: Figure): Verdict {
  const { symbol, grade, refused } = figure
  const why = refused?.why ?? `it is only ${grade}.`
  return {
    outcome: 'not tested',
    figure,
    sentence: `${symbol.replace(/^[a-z](?=[a-z])/, (first) => first.toUpperCase())} cannot decide: ${why} ${refused?.todo ?? 'A measured value is needed.'}`,
  }
}

/** What ended a test, as a tester says it. */
const limitWords: Readonly<Record<Limiter, string>> = {
  supply: 'the supply gave out first',
  load: 'the loads ended first',
  meter: 'the meter cannot tell',
  protection: 'a protective device opened first',
  joint: 'a bad joint stopped the test',
  time: 'it was not carried long enough',
}

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
    sentence: `Not shown: ${limitWords[limiter]}. ${why} ${would}`.trim(),
  }
}
