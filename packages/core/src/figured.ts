import type { ClaimQuantity, HeldReference } from '@even-watt/contract'
import { furthest, type Derived, type FigureUnit, type Furthest } from './figures'
import type { StepFigures } from './ladder'
import type { Analysis } from './trials'

/** What a figure depends on: a change of something else leaves it as it is (docs/method/catalogue.md). */
export type DependsOn = 'unit' | 'bank' | 'path' | 'tap' | 'meter' | 'load' | 'room'

/** What is stated of a figure, or is nominal for it; said as a share where that is how one speaks of it: of a rating. */
export interface Stated<At extends readonly unknown[]> {
  readonly of: (...at: At) => Derived
  /** Nobody asks what is left of a rating while nothing is connected: the share alone is said. */
  readonly asShare?: 'with what is left' | 'alone'
}

/**
 * A figure that a subject works out, named once. Search, columns, limits of the tester’s own, what it is held against,
 * comparison and CSV follow from this alone.
 */
interface Named<At extends readonly unknown[]> {
  /** Kept for good: columns and limits are stored by it. */
  readonly id: string
  readonly words: string
  /** At the head of a column, without its unit. */
  readonly head: string
  readonly unit: FigureUnit
  /** Words by which it is looked for, besides its own. */
  readonly looked: readonly string[]
  readonly dependsOn: readonly DependsOn[]
  /** Where it is shown: the path of a page below a trial. */
  readonly page: string
  /** The page of the method that it is worked by. */
  readonly method: string
  /** Absent: more of it is neither better nor worse. */
  readonly better?: 'more' | 'less'
  /** It says what was tried: of two units that were tried otherwise it decides nothing. */
  readonly asTried?: true
  /** What the label promises of it. */
  readonly promise?: ClaimQuantity
  readonly stated?: Stated<At>
  /** Which figure of the mains of the place it is held against. */
  readonly ofMains?: 'volts' | 'hertz'
  /** What it is held against where its readings stand, without being asked. */
  readonly quietly?: readonly HeldReference[]
  readonly of: (...at: At) => Derived
}

/** A figure of every step of a ladder. */
export interface StepFigured extends Named<[step: StepFigures, analysis: Analysis]> {
  readonly per: 'step'
  /** The same with nothing connected. */
  readonly atNoLoad?: (analysis: Analysis) => Derived
  /** What a plan led one to expect of it. */
  readonly expected?: (step: StepFigures) => Derived
}

/** One of several like figures: of an attempt, a look, a port. */
export interface OneOfMany {
  readonly of: Derived
  /** Of whom it is: those of one are taken together first. */
  readonly what: string
}

/** A figure of a rig as a whole. */
export interface RigFigured extends Named<[analysis: Analysis]> {
  readonly per: 'rig'
  /** All of them, as they were read, where it is told of several: its page says what they come to together. */
  readonly each?: (analysis: Analysis) => readonly OneOfMany[]
}

export type Figured = StepFigured | RigFigured

/** A figure of which a rig may have several, told by the furthest of them; `none` says why there is none. */
export const furthestOf = (
  over: Furthest,
  each: (analysis: Analysis) => readonly OneOfMany[],
  none: string,
  named: Omit<RigFigured, 'per' | 'of' | 'each'>,
): RigFigured => ({
  ...named,
  per: 'rig',
  each,
  of: (analysis) =>
    furthest(
      over,
      each(analysis).map(({ of }) => of),
      none,
    ),
})
