import type { LoadKind, LoadUse } from '@even-watt/contract'
import { exponents } from '@even-watt/core'

/** One load as it is set: label watts at its label volts. */
export interface LoadModel {
  readonly name: string
  readonly kind: 'element' | 'filament' | 'electronic'
  readonly watts: number
  readonly volts: number
  readonly powerFactor?: number
  /** A diode in series: only one half wave flows. */
  readonly halfWave?: boolean
  /** Where it stands on the load shelf. */
  readonly use?: LoadUse
}

/** Power at output voltage V by the load's law (docs/method/loads.md). */
export const powerAt = (loads: readonly LoadModel[], V: number): number =>
  loads.reduce((sum, load) => sum + load.watts * (V / load.volts) ** exponents[load.kind], 0)

/** Apparent power at V, adding reactive parts as if in phase with one another. */
export function apparentAt(loads: readonly LoadModel[], V: number): number {
  const reactive = loads.reduce((sum, load) => {
    const P = powerAt([load], V)
    return sum + P * Math.tan(Math.acos(load.powerFactor ?? 1))
  }, 0)
  return Math.hypot(powerAt(loads, V), reactive)
}

/** The one kind of all loads, or mixed. */
export function kindOf(loads: readonly LoadModel[]): LoadKind {
  const kinds = new Set(loads.map((load) => load.kind))
  const [only] = kinds
  return kinds.size === 1 && only ? only : 'mixed'
}
