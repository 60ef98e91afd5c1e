import type { Uncertain } from '../meters'

export type FanState = 'off' | 'on' | 'speed'

/** One measured point: output VA, input watts lost, and the fan as seen. */
export interface LossPoint {
  readonly key: string
  readonly S: Uncertain
  readonly loss: Uncertain
  /** Standard uncertainty of the loss, W, beside its sources: a unit that warms up, steps in another order. */
  readonly scatter: number
  readonly fan?: FanState | undefined
}

/** How far a loss moves with the unit's warmth and the order of the steps, as a share of it (docs/method/ladder.md). */
const warming = 0.02

/** Standard uncertainty by which a loss, W, may lie off its curve though it was read well. */
export const scatterOfLoss = (loss: number): number => warming * Math.abs(loss)
