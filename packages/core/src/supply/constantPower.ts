import { add, combine, scale, type Uncertain } from '../meters'
import type { Source } from './thevenin'

/**
 * Voltage under a load of constant power P, W: (E + √(E² − 4·R·P))/2, the stable one of two (docs/method/supply.md).
 * Undefined when the source cannot deliver it: P > E²/4R.
 */
export function voltageUnderPower({ E, R }: Source, P: number): number | undefined {
  const discriminant = E ** 2 - 4 * R * P
  return discriminant < 0 ? undefined : (E + Math.sqrt(discriminant)) / 2
}

/** The most a source can give into any load: E²/4R, W; without resistance there is no limit. */
export const mostPower = ({ E, R }: Source): number => (R > 0 ? E ** 2 / (4 * R) : Infinity)

/** A bank behind its posts, the path to the terminals, and a support source at the posts. */
export interface Supply {
  readonly bank: Source
  /** Ω from posts to terminals, both conductors. */
  readonly path: number
  /** A that the support source carries before the bank gives anything; 0: none. */
  readonly support: number
}

export interface OperatingPoint {
  readonly V_A: number
  readonly V_B: number
  /** A into the unit. */
  readonly I: number
  readonly I_bank: number
  readonly I_support: number
}

/** The state at a current I into the unit, A; the support source carries up to its limit, the bank the rest. */
export function atCurrent({ bank, path, support }: Supply, I: number): OperatingPoint {
  const I_support = Math.min(I, support)
  const V_A = bank.E - bank.R * (I - I_support)
  return { V_A, V_B: V_A - path * I, I, I_bank: I - I_support, I_support }
}

/** The supply as one source seen from the terminals, for currents above the support source's limit. */
export const terminalSource = ({ bank, path, support }: Supply): Source => ({
  E: bank.E + bank.R * support,
  R: bank.R + path,
})

/**
 * The state when the unit takes P_B, W, at its terminals; undefined when the supply cannot deliver it (the limit
 * is `mostPower` of `terminalSource`, or of the path alone when the support source carries everything).
 */
export function underPower(supply: Supply, P_B: number): OperatingPoint | undefined {
  const alone = voltageUnderPower({ E: supply.bank.E, R: supply.path }, P_B)
  if (alone !== undefined && P_B / alone <= supply.support) return atCurrent(supply, P_B / alone)
  const V_B = voltageUnderPower(terminalSource(supply), P_B)
  return V_B === undefined || V_B <= 0 ? undefined : atCurrent(supply, P_B / V_B)
}

/**
 * V_B under P_B with the uncertainty of E, both resistances and the power carried through; support in A.
 * Undefined when the supply cannot deliver it.
 */
export function terminalVoltage(
  E: Uncertain,
  R_bank: Uncertain,
  R_path: Uncertain,
  P_B: Uncertain,
  support = 0,
): Uncertain | undefined {
  const supply = { bank: { E: E.value, R: R_bank.value }, path: R_path.value, support }
  const point = underPower(supply, P_B.value)
  if (!point) return undefined
  // With the support source carrying all, the bank's resistance plays no part.
  const bankGives = point.I_bank > 0
  const rise = bankGives ? add(E, scale(R_bank, support)) : E
  const R = bankGives ? add(R_bank, R_path) : R_path
  const root = 2 * point.V_B - rise.value
  return combine(point.V_B, [
    [rise, point.V_B / root],
    [R, -P_B.value / root],
    [P_B, -R.value / root],
  ])
}
