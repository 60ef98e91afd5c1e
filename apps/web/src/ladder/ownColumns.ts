import type { Chosen } from '@even-watt/contract'
import type { Derived, StepFigures } from '@even-watt/core'

/** What the table of steps shows besides its usual columns. */
export interface OwnColumns {
  readonly columns: readonly Chosen[]
  readonly of: (step: StepFigures) => readonly Derived[]
  /** Own limits that a step breaks, in words, by the step’s id. */
  readonly broken: ReadonlyMap<string, string>
}
