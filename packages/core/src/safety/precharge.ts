/** Pre-charge of a unit's input capacitors through a resistor (docs/method/safety.md). */
export interface Precharge {
  /** s until the rest is below the allowed difference. */
  readonly time: number
  /** J that the resistor takes in all. */
  readonly energy: number
  /** W at the first moment. */
  readonly peak: number
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
  }
}

/** Farads per watt of rating, about, of common units at 12 V; it falls with the square of the input voltage. */
const faradsPerWatt = 7e-6

/** An estimate of a unit's input capacitance from its rating, F: it is only that, and is said to be one. */
export const estimatedCapacitance = (rated: number, nominal: number): number =>
  faradsPerWatt * rated * (12 / nominal) ** 2
