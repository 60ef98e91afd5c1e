import type { Conductor, Gauge } from '@even-watt/contract'
import { gaugeArea } from './gauge'

/**
 * Ampacity of a single copper conductor in free air, 30 °C ambient, 105 °C insulation: a starting table, to check
 * against the local code (docs/method/conductors.md).
 */
const metric: readonly (readonly [area: number, amps: number])[] = [
  [6, 60],
  [10, 90],
  [16, 130],
  [25, 170],
  [35, 210],
  [50, 270],
  [70, 330],
  [95, 390],
  [120, 450],
]
const american: readonly (readonly [n: number, amps: number])[] = [
  [10, 60],
  [8, 80],
  [6, 120],
  [4, 160],
  [2, 210],
  [1, 245],
  [0, 285],
  [-1, 330],
  [-2, 385],
  [-3, 445],
]

/** All sizes of the table, the smallest first. */
export const tableSizes: readonly Gauge[] = [
  ...metric.map(([area]): Gauge => ({ unit: 'mm²', area })),
  ...american.map(([number]): Gauge => ({ unit: 'AWG', number })),
]

/** The table's value; between sizes that of the next smaller, below the smallest or above the largest none. */
export function tableAmpacity(gauge: Gauge): number | undefined {
  if (gauge.unit === 'AWG') {
    const size = american.filter(([n]) => n >= gauge.number)
    return gauge.number <= 10 ? size.at(-1)?.[1] : undefined
  }
  const smaller = metric.filter(([area]) => area <= gauge.area * 1.0001)
  return smaller.at(-1)?.[1]
}

/** Table values are for copper; another metal carries less for the same heat, by the root of its resistivity. */
const metalFactor: Record<Conductor['material'], number> = {
  copper: 1,
  aluminium: Math.sqrt(1.7241 / 2.82),
  'copper-clad aluminium': Math.sqrt(1.7241 / 2.7),
}

/** What a terminal stands when nothing else is said, °C. */
export const usualTerminal = 75

export interface AmpacityConditions {
  /** °C that the insulation stands. */
  readonly insulation: number
  readonly ambient: number
  /** Conductors bundled together derate one another; 1: single in free air. */
  readonly bundling?: number
}

/**
 * Corrected ampacity, A, of one conductor with its like runs: table × √((T_ins − T_amb)/75) × bundling × runs.
 * Undefined for sizes below the table; 0 when the ambient is at or above what the insulation stands.
 */
export function ampacity(
  conductor: Pick<Conductor, 'gauge' | 'runs' | 'material'>,
  { insulation, ambient, bundling = 1 }: AmpacityConditions,
): number | undefined {
  const table = tableAmpacity(conductor.gauge)
  if (table === undefined) return undefined
  const heat = Math.sqrt(Math.max(0, insulation - ambient) / 75)
  return table * heat * bundling * conductor.runs * metalFactor[conductor.material]
}

/** Volumetric heat capacity of the metals, J/(m³·K). */
const heatCapacity: Record<Conductor['material'], number> = {
  copper: 3.45e6,
  aluminium: 2.42e6,
  'copper-clad aluminium': 2.6e6,
}

/**
 * Time constant of a cable's warming, s: the metal's heat capacity over what it gives off per kelvin, which
 * follows from the ampacity (in balance at ampacity it stands ΔT above ambient). Leaving the insulation's own
 * capacity out makes it short, so times are on the safe side.
 */
export function heatingTime(
  conductor: Pick<Conductor, 'gauge' | 'material'>,
  rho: number,
  ampacityOfOne: number,
  rise: number,
): number {
  const area = gaugeArea(conductor.gauge)
  const watts = (ampacityOfOne ** 2 * rho) / area
  return (heatCapacity[conductor.material] * area * rise) / watts
}

/**
 * For how long a current may flow, s, from cold, before what carries `continuous` A for ever reaches the same
 * heat: −τ·ln(1 − (I_c/I)²). Infinity at or below the continuous rating.
 */
export function allowedTime(current: number, continuous: number, tau: number): number {
  return current <= continuous ? Infinity : -tau * Math.log(1 - (continuous / current) ** 2)
}

/** τ of a device from one point of its time-current curve: it carries `current` for `seconds`. */
export function tauFromRating(continuous: number, current: number, seconds: number): number {
  return current > continuous ? -seconds / Math.log(1 - (continuous / current) ** 2) : Infinity
}
