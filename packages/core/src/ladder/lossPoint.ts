import type { Uncertain } from '../meters'
import type { FanState } from './fan'

/** One measured point: output VA, input watts lost, and the fan as seen. */
export interface LossPoint {
  readonly key: string
  readonly S: Uncertain
  readonly loss: Uncertain
  readonly fan?: FanState | undefined
}
