import type { Who } from '@even-watt/contract'
import type { Said } from '../court'
import type { Device, Sagging } from '../facts'
import type { Derived } from '../figures'
import type { StepFigures } from '../ladder'

/** What became of something that was tried: a step, a hold, an overload, a start, a run-down, a loading of a port. */
export type Outcome =
  | 'carried'
  | 'warned'
  | 'tripped'
  | 'did not turn'
  | 'turned late'
  | 'stopped by hand'
  | 'time was up'
  | 'loads ended'

export type Alarm = 'none' | 'low voltage' | 'overload' | 'heat' | 'other'

/**
 * What is known of the moment in which something ended, of whatever kind it was: all looks are taken at this one shape. What
 * was not read is missing, with its reason.
 */
export interface Moment {
  readonly became: Outcome
  readonly alarm: Alarm
  /** A device that was found open. */
  readonly device: Device | undefined
  /** The input was gone before the unit: something in the path had opened. */
  readonly inputGone: boolean
  /** A capture shows that the input was still there afterwards: nothing in the path had opened. */
  readonly inputKept: boolean
  /** The tester noted that it was the unit that went out. */
  readonly notedUnit: boolean
  /** The unit is noted to have gone out by itself, or a capture shows that its output went. */
  readonly wentOut: boolean
  /** Lowest volts at the terminals, and half the swing of their ripple. */
  readonly V_B: Derived
  readonly swing: number
  /** Whether those are an extreme that a slow meter may have missed: then they were no higher. */
  readonly extreme: boolean
  /** Before the load, V; undefined: not read. */
  readonly before: number | undefined
  /** Input amps at the worst moment; undefined: not read. */
  readonly amps: number | undefined
  /** s until it ended; undefined: not noted. */
  readonly held: number | undefined
  /** Lowest output volts, and what they are nominally. */
  readonly V_C: Derived
  readonly nominal: number
  /** Output that did not stand as it should. */
  readonly sag: Sagging | undefined
  /** "1521 ± 39 W", "with 45 A flowing": what was on, for sentences. */
  readonly load: () => string
  /** The same as a step, for splitting what it lost. */
  readonly step: StepFigures | undefined
}

/** Who ended something, by which look, and in words what shows it and what would show more. */
export interface Ended {
  readonly who: Who
  readonly code: EndedCode
  readonly say: () => Said
}

type EndedCode =
  | 'device opened'
  | 'over a device'
  | 'bad joint'
  | 'hot joint'
  | 'input low'
  | 'low-voltage alarm'
  | 'alarm early'
  | 'overload alarm'
  | 'heat alarm'
  | 'output folded'
  | 'switched itself off'
  | 'output stood'
  | 'stopped by hand'
  | 'time was up'
  | 'loads ended'
  | 'alarm not named'
  | 'input not read'
  | 'cannot tell'
