import type { Conductor } from '@even-watt/contract'
import { conductorResistance } from './resistance'

/** Ω of one conductor with its own ends; T in °C. */
export const withEnds = (conductor: Conductor, celsius = 20): number =>
  conductorResistance(conductor, celsius) + (conductor.ends ?? 0)

/** Unlike conductors in parallel between the same two points: conductances add. Ω. */
export const inParallel = (resistances: readonly number[]): number =>
  1 / resistances.reduce((sum, R) => sum + 1 / R, 0)

/** How a current is shared by unlike parallel conductors, A each: the lower its resistance, the more. */
export function parallelShares(conductors: readonly Conductor[], current: number, celsius = 20): number[] {
  const resistances = conductors.map((conductor) => withEnds(conductor, celsius))
  const together = inParallel(resistances)
  return resistances.map((R) => (current * together) / R)
}
