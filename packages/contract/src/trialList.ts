import type { Outcome } from './findings'
import type { TrialLine } from './trials'

/** What the list of trials may be ordered by. */
export const trialOrders = [
  'title',
  'unit',
  'rig',
  'by',
  'startedAt',
  'lastAt',
  'revisions',
  'entries',
] as const
export type TrialOrder = (typeof trialOrders)[number]

/** A page of the list, and how many trials there are in all that fit what was searched for. */
export interface TrialPage {
  readonly trials: TrialLine[]
  readonly total: number
  /** How many are put away. */
  readonly away: number
}

/** How many claims of a trial stand at each outcome, by the trial's id. */
export type TrialVerdicts = Readonly<Record<string, readonly { outcome: Outcome; count: number }[]>>

/** Figures of one trial, to stand beside those of others. */
export interface TrialFigures {
  readonly trial: string
  readonly title: string
  readonly unit: string
  /** W on its label. */
  readonly rated: number | null
  /** Those that may decide, by name: value and expanded uncertainty. */
  readonly figures: Readonly<Record<string, readonly [value: number, U: number]>>
}

/** Some figures over all trials that tell any of them. */
export interface FiguresOverTrials {
  readonly trials: readonly TrialFigures[]
  /** Trials that are still to be read: asking again goes on with them. */
  readonly unread: number
}
