import type { Remark } from './units'

/** What is known of a unit beyond one trial: where it was tested, and what was remarked on it there. */
export interface UnitLife {
  /** The newest first. */
  readonly trials: readonly {
    readonly id: string
    readonly title: string
    readonly startedAt: string
    readonly away: boolean
  }[]
  readonly remarks: readonly (Remark & { readonly trial: string; readonly at: string })[]
}
