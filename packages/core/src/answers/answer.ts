import type { ClaimQuantity, Question, Touchable, Trial } from '@even-watt/contract'
import type { Figure } from '../figures'
import type { OnRig } from '../held'
import type { TrialView } from '../view'

/** A sentence with its figures, each to be shown and worked. */
export type Said = readonly (string | Figure)[]

/** How an answer stands: its word says it, its shape and colour go with it. */
export type Mark = 'yes' | 'answered' | 'roughly' | 'hardly' | 'no' | 'not shown' | 'not read'

/** What is still to be read, and what that costs. */
export interface Open {
  /** As something to do: "Read both ends of the leads, at your heaviest load." */
  readonly todo: string
  /** On its button. */
  readonly button: string
  /** Where: the path of a page below the trial. */
  readonly page: string
  readonly readings: number
  readonly minutes: number
  readonly wattHours: number
  /** Where it is one load, or none: what is connected, W, and held for so long, s. */
  readonly load?: { readonly watts: number; readonly seconds: number }
}

/** What is known of a question. */
export interface Known {
  /** Empty: nothing is known yet, and `open` says what to read. */
  readonly said: Said
  /** Why, or what it means; each a sentence. */
  readonly why: readonly string[]
  readonly mark: Mark
  readonly open?: Open
  /** One thing that nobody said, and that can be said instead of read. */
  readonly unknown?: 'leads'
}

/** Where on the path of power a question stands: it has its hue. */
export type Place = 'DC' | 'AC' | 'heat' | 'whole'

/** All that a question is answered from. */
export interface Asked {
  readonly on: OnRig
  readonly view: Pick<TrialView, 'findings' | 'analyses'>
  readonly trial: Trial
}

/** A question as it is asked, and how it is answered. */
export interface Asking {
  readonly id: Question
  readonly place: Place
  readonly asks: string
  /** Of this unit: "Does it give its 900 W?" */
  readonly asksOf?: (asked: Asked) => string | undefined
  /** The page on which its readings stand. */
  readonly page: string
  /** What was read of it on an earlier rig stands on while nothing of this was touched. */
  readonly dependsOn: readonly Touchable[]
  /** Units that nobody asks it of have it not. */
  readonly suits?: (asked: Asked) => boolean
  /** Promises that say whether what was read is good. */
  readonly judgedBy?: readonly ClaimQuantity[]
  readonly know: (asked: Asked) => Known
}

/** A question with its answer. */
export interface Answered extends Known {
  readonly id: Question
  readonly asks: string
  readonly place: Place
  readonly page: string
}

export const notRead = (open: Open, why: readonly string[] = [], unknown?: Known['unknown']): Known => ({
  said: [],
  why,
  mark: 'not read',
  open,
  ...(unknown ? { unknown } : {}),
})
