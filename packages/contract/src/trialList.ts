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
