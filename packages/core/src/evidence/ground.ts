import type { Revision } from '@even-watt/contract'
import type { DisplayChecks } from './displayCheck'
import type { Gate } from './gate'

/** What values are read by: the revision's meters, and the gate that lets them in. */
export interface Ground {
  readonly revision: Revision
  readonly gate: Gate
  /** Of a display that may stand in for a meter; empty where it may not. */
  readonly checks: DisplayChecks
}
