import type { Bank, Block, BlockKind, PlacedPart, RunEvent } from '@even-watt/contract'
import type { Supply } from '../supply'
import type { Loaded } from './loaded'

/** Hours at the bench, ms since 1970. */
export interface Day {
  readonly opens: number
  readonly closes: number
}

/** Something that is switched on: what, W at the outlet, and s until it takes steady watts. */
export interface Switched {
  readonly what: string
  readonly watts: number
  readonly settle: number
}

/** All that a schedule is made from; moments in ms since 1970, lengths in s. */
export interface ScheduleQuestion {
  readonly blocks: readonly Block[]
  readonly start: number
  /** At least one, in order. */
  readonly days: readonly Day[]
  /** Steps of the ladder, in order. */
  readonly steps: readonly Switched[]
  readonly motors: readonly Switched[]
  readonly settle: number
  readonly dwell: number
  readonly reading: number
  /** s for which a rated hold is carried. */
  readonly hold: number
  readonly rated: number
  /** Loss of the unit, W, at output watts. */
  readonly loss: (P: number) => number
  readonly bank: Bank
  /** Absent while a resistance is not known: the bank is then taken as stiff at its nominal volts. */
  readonly supply: Supply | undefined
  /** A of the charger between blocks; 0: none. */
  readonly charger: number
  /** State of charge at the start, 0 to 1. */
  readonly charge: number
  /** When loads were on, in order of time; what lies in a block that was run is that block's. */
  readonly loaded: readonly Loaded[]
  /** Says a moment as the tester's clock does. */
  readonly sayTime: (moment: number) => string
}

/** A stretch of time with one load; without watts the unit is off. */
export interface Piece {
  readonly what: string
  readonly seconds: number
  readonly watts: number | undefined
}

/** A piece as it lies in time, with the state of charge at both ends. */
export interface TimedPiece {
  readonly what: string
  readonly from: number
  readonly to: number
  readonly watts: number | undefined
  readonly charge: readonly [from: number, to: number]
}

export type StretchState = 'planned' | 'running' | 'paused' | 'done'

/** A block, or a part that a rule put before it, as it lies in time. */
export interface Stretch {
  readonly block: string
  readonly kind: BlockKind
  readonly part: PlacedPart | undefined
  readonly from: number
  readonly to: number
  readonly pieces: readonly TimedPiece[]
  readonly state: StretchState
  /** Why a rule put it there. */
  readonly because: string | undefined
}

export interface Remark {
  readonly block: string | undefined
  /** Moved: a rule did something; odd: it could not, or the tester fixed it otherwise. */
  readonly kind: 'moved' | 'odd'
  readonly sentence: string
}

/** One thing that happened, at its real time, ms since 1970. */
export interface Logged {
  readonly at: number
  readonly event: RunEvent
}

export const placedKey = ({ block, part }: { block: string; part?: PlacedPart | undefined }): string =>
  part ? `${block} ${part}` : block
