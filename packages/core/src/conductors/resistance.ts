import type { Conductor } from '@even-watt/contract'
import { gaugeArea } from './gauge'

/** Resistivity at 20 °C in Ω·m and temperature coefficient per K (docs/method/conductors.md). */
export const materialData: Record<Conductor['material'], { rho20: number; alpha: number }> = {
  copper: { rho20: 1.7241e-8, alpha: 0.00393 },
  aluminium: { rho20: 2.82e-8, alpha: 0.004 },
  'copper-clad aluminium': { rho20: 2.7e-8, alpha: 0.004 },
}

/** Stranding factor of flexible leads and its spread. */
export const flexibleStranding = 1.12

/**
 * R = f·ρ20·(1 + α(T − 20))·ℓ/(n·A) of one conductor, in Ω; T in °C. A loop is the sum of both conductors.
 */
export function conductorResistance(conductor: Conductor, celsius = 20): number {
  const { rho20, alpha } = materialData[conductor.material]
  return (
    (conductor.strandingFactor * rho20 * (1 + alpha * (celsius - 20)) * conductor.length) /
    (conductor.runs * gaugeArea(conductor.gauge))
  )
}
