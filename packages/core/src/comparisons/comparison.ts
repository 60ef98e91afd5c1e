import type { Derived } from '../figures'
import type { ClaimRow } from './claims'
import type { Compared } from './compared'
import type { Condition } from './conditions'
import type { Criterion, Hours } from './criteria'
import type { CurveDifference } from './curves'
import type { Difference } from './difference'

/** One criterion over all that is compared. */
export interface CriterionRow {
  readonly criterion: Criterion
  readonly cells: readonly CriterionCell[]
}

/** How one stands to the first. */
export type Standing = 'better' | 'worse' | 'alike' | 'apart'

export interface CriterionCell {
  readonly figure: Derived
  /** Against the first: absent for the first itself, and where either is not known. */
  readonly against: { readonly difference: Difference; readonly is: Standing } | undefined
}

/** Several units, or rigs of one, laid beside each other; what differs is said against the first. */
export interface Comparison {
  readonly list: readonly Compared[]
  readonly hours: Hours
  /** What follows from it, the most telling first. */
  readonly answer: readonly string[]
  readonly conditions: readonly Condition[]
  readonly claims: readonly ClaimRow[]
  readonly rows: readonly CriterionRow[]
  /** For each but the first. */
  readonly curves: readonly {
    readonly one: Compared
    readonly found: CurveDifference | { readonly missing: string }
  }[]
}
