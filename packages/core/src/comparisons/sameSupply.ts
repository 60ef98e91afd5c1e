import { hasFit, lossAt } from '../ladder'
import { supplyOf } from '../rigs'
import { underPower } from '../supply'
import type { Compared } from './compared'

/** How one unit would stand on the supply and leads of another, at one load. */
export interface OnSupply {
  readonly name: string
  /** V at its terminals, W at the posts, and the share of those that reaches the outlet. */
  readonly volts: number
  readonly input: number
  readonly efficiency: number
}

export interface SameSupply {
  /** Whose bank and leads they are. */
  readonly of: string
  /** W at the outlet. */
  readonly load: number
  readonly cells: readonly (OnSupply | { readonly name: string; readonly missing: string })[]
}

/**
 * All of them as if on the bank and leads of the first whose supply is known, at the highest load that every curve
 * reaches: the unit’s own losses, with that bank’s volts and that path’s resistance (docs/method/comparisons.md). What the
 * unit loses is taken as it was at its own input volts: no model tells how that changes. Units of another nominal input
 * cannot stand on it. Undefined: no supply is known, or fewer than two have a curve.
 */
export function onSameSupply(list: readonly Compared[]): SameSupply | undefined {
  const fits = list.map((one) => ({ one, fit: one.analysis.ladder.unitFit }))
  const curves = fits.flatMap(({ fit }) => (hasFit(fit) ? [fit] : []))
  const hosts = list.flatMap((one) => {
    const supply = supplyOf(one.analysis.supply.known)
    return supply ? [{ host: one, supply }] : []
  })
  const [{ host, supply } = {}] = hosts
  if (!host || !supply || curves.length < 2) return undefined
  const load = Math.min(...curves.map(({ high }) => high))
  const nominal = host.analysis.record.revision.unit.inputVoltage
  return {
    of: host.name,
    load,
    cells: fits.map(({ one, fit }) => {
      const { name, analysis } = one
      if (!hasFit(fit)) return { name, missing: 'no curve' }
      if (analysis.record.revision.unit.inputVoltage !== nominal)
        return { name, missing: 'made for another input' }
      const P_B = load + lossAt(fit, load).value
      const point = underPower(supply, P_B)
      if (!point) return { name, missing: 'that supply cannot carry it' }
      const input = point.V_A * point.I
      return { name, volts: point.V_B, input, efficiency: load / input }
    }),
  }
}
