import { say } from '../figures'

/** Pre-charge of a unit's input capacitors through a resistor (docs/method/safety.md). */
export interface Precharge {
  /** s until the rest is below the allowed difference. */
  readonly time: number
  /** J that the resistor takes in all. */
  readonly energy: number
  /** W at the first moment. */
  readonly peak: number
  /** A at the first moment. */
  readonly amps: number
}

/**
 * τ = R·C, t = τ·ln(V/ΔV), ½CV² in the resistor, V²/R at first. V: volts of the bank; R: Ω; C: F; within: V that may be
 * left. Nothing to wait for when `within` is not below V.
 */
export function precharge(V: number, R: number, C: number, within: number): Precharge {
  return {
    time: within < V ? R * C * Math.log(V / within) : 0,
    energy: 0.5 * C * V ** 2,
    peak: V ** 2 / R,
    amps: V / R,
  }
}

/** Farads per watt of rating, about, of common units at 12 V; it falls with the square of the input voltage. */
const faradsPerWatt = 7e-6

/** An estimate of a unit's input capacitance from its rating, F: it is only that, and is said to be one. */
export const estimatedCapacitance = (rated: number, nominal: number): number =>
  faradsPerWatt * rated * (12 / nominal) ** 2

/** Times its rating that a wire-wound resistor stands for a second or two. */
const forAMoment = 10
/** Ω of leads and bank where nothing limits the inrush. */
const bare = 0.02

/** What is in the hand for it: a resistor by its watts, a lamp by its volts and watts. */
export interface PrechargeWith {
  readonly is: 'resistor' | 'lamp'
  readonly watts: number
  /** V that it is made for. */
  readonly volts: number | undefined
}

/** Whether a resistor or a lamp may be used on a bank, in a sentence; and what the inrush would be without (docs/method/safety.md). */
export function prechargeWith(V: number, R: number, { is, watts, volts }: PrechargeWith): string {
  if (is === 'lamp')
    return volts === undefined
      ? 'Type the volts of the lamp.'
      : volts < 0.9 * V
        ? `A lamp for ${say(volts, 'V', 2)} burns out on ${say(V, 'V')}: put ${Math.ceil(V / volts)} alike in series.`
        : `The lamp stands it, and takes at most ${say(watts / volts, 'A', 2)} once it is warm.`
  const least = V ** 2 / R / forAMoment
  return watts >= least
    ? `${say(watts, 'W', 2)} stand the first moment; do not leave it on a unit that is switched on.`
    : `${say(watts, 'W', 2)} are too little: buy ${say(least, 'W', 2)} or more, wire-wound.`
}

/** A of the spark where nothing limits it, about. */
export const bareInrush = (V: number): number => V / bare
