import type { Course } from '@even-watt/contract'

/** A bound of what equipment on the same outlet rides through: volts under (or over) this share, for no longer than s. */
interface RideThrough {
  readonly share: number
  readonly longest: number
}

/** The ITI curve for RMS volts, indicative at 230 V (docs/method/motors.md). */
export const lowBounds: readonly RideThrough[] = [
  { share: 0.7, longest: 0.02 },
  { share: 0.8, longest: 0.5 },
  { share: 0.9, longest: 10 },
]
const highBounds: readonly RideThrough[] = [
  { share: 1.2, longest: 0 },
  { share: 1.1, longest: 0.5 },
]

/** How long the volts of a course stood beyond a share of nominal, against how long they may. */
interface Beyond extends RideThrough {
  readonly lasted: number
  readonly rides: boolean
}

/** Volts until the output was gone, for what comes after that is no sag: all that hung on it dropped out. */
const whileOn = ({ V_C = [] }: Course, nominal: number): readonly number[] => {
  const gone = V_C.findIndex((volts) => volts < 0.1 * nominal)
  return gone < 0 ? V_C : V_C.slice(0, Math.max(0, gone - 2))
}

/** s of the longest stretch in which the volts stood beyond something. */
function stretch(
  volts: readonly number[],
  step: number,
  nominal: number,
  beyond: (share: number) => boolean,
): number {
  // Points are counted and not their seconds added up: fifty hundredths are half a second, and no more than that.
  let [most, now] = [0, 0]
  for (const one of volts) {
    now = beyond(one / nominal) ? now + 1 : 0
    most = Math.max(most, now)
  }
  return most * step
}

/** s for which the volts of a course stood under a share of nominal at a stretch, until the output was gone. */
export const longestUnder = (course: Course, nominal: number, share: number): number =>
  stretch(whileOn(course, nominal), course.step, nominal, (one) => one < share)

/** What else hangs on the outlet, through a start. */
export interface OtherEquipment {
  /** The output was gone: nothing rode through that. */
  readonly gone: boolean
  readonly beyond: readonly Beyond[]
  /** How often the volts turned by more than lamps show; from four times on they are seen to flicker. */
  readonly turns: number
  readonly flickers: boolean
}

/**
 * What else hangs on the outlet, against the ITI curve: s for which the volts stood under or over each share of nominal at a
 * stretch, from RMS over one cycle each, until the output was gone. A stretch shorter than a half cycle is not seen.
 */
export function otherEquipment(course: Course, nominal: number): OtherEquipment {
  const on = whileOn(course, nominal)
  const longest = (beyond: (share: number) => boolean) => stretch(on, course.step, nominal, beyond)
  const bound = (one: RideThrough, lasted: number): Beyond => ({
    ...one,
    lasted,
    rides: lasted <= one.longest,
  })
  const turns = turnsOf(on, visible * nominal)
  return {
    gone: on.length < (course.V_C?.length ?? 0),
    beyond: [
      ...lowBounds.map((one) =>
        bound(
          one,
          longest((share) => share < one.share),
        ),
      ),
      ...highBounds.map((one) =>
        bound(
          one,
          longest((share) => share > one.share),
        ),
      ),
    ].filter(({ lasted }) => lasted > 0),
    turns,
    flickers: turns >= repeatedly,
  }
}

/** Share of the volts by which lamps are seen to flicker, where it happens again and again. */
const visible = 0.005
const repeatedly = 4

/** How often values turn back by more than so much. */
function turnsOf(values: readonly number[], least: number): number {
  let turns = 0
  let rising: boolean | undefined
  let extreme = values[0] ?? 0
  for (const value of values) {
    const further = rising !== undefined && (rising ? value > extreme : value < extreme)
    if (further) extreme = value
    else if (Math.abs(value - extreme) > least) {
      if (rising !== undefined) turns++
      rising = value > extreme
      extreme = value
    }
  }
  return turns
}
