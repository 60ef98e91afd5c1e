import type { Limiter, Outcome } from '@even-watt/contract'
import type { Figure } from '../figures'
import type { Evidence } from './evidence'
import type { Hindrance } from './hindrances'

/** How many attempts decided, and how many of them kept the promise. */
export interface Tried {
  readonly kept: number
  readonly of: number
}

/** A verdict is data; its sentence is made of it at the end. */
export interface Verdict {
  readonly outcome: Outcome
  readonly code: string
  readonly probability?: number
  readonly by?: Limiter
  readonly figure?: Figure
  readonly step?: string
  /** What decided, or what came nearest. */
  readonly evidence?: Evidence
  /** Why it shows nothing. */
  readonly reason?: Hindrance
  readonly tried?: Tried
  /** What would show it, as the tester has it. */
  readonly own?: string | undefined
  /** Why there is nothing to be judged, in a sentence. */
  readonly absent?: string
}
