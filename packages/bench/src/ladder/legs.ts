import type { Quantity } from '@even-watt/contract'
import { underPower } from '@even-watt/core'
import { powerAt, type LoadModel } from '../loads/law'
import { lossOf, outputVoltage } from '../units/unit'
import type { BenchModel } from './operate'

/** What truly is at a split phase with element and filament loads on each leg; the unit's volts are those of one leg. */
export function operateLegs(
  { bank, path, unit }: BenchModel,
  L1: readonly LoadModel[],
  L2: readonly LoadModel[],
): Partial<Record<Quantity, number>> & { readonly fan: boolean } {
  const [one, two] = [L1, L2].map((loads) => {
    let V = unit.noLoadVoltage
    for (let i = 0; i < 60; i++) V = outputVoltage(unit, powerAt(loads, V))
    const P = powerAt(loads, V)
    return { V, P, I: P / V }
  }) as [{ V: number; P: number; I: number }, { V: number; P: number; I: number }]
  const P_C = one.P + two.P
  const { watts, fan } = lossOf(unit, P_C)
  const resistance = [...path.values()].reduce((sum, R) => sum + R, 0)
  const point = underPower({ bank, path: resistance, support: 0 }, P_C + watts)
  if (!point) throw new Error('The supply cannot deliver this step.')
  return {
    V_A: point.V_A,
    V_B: point.V_B,
    I: point.I,
    V_L1: one.V,
    I_L1: one.I,
    P_L1: one.P,
    V_L2: two.V,
    I_L2: two.I,
    P_L2: two.P,
    fan,
  }
}
