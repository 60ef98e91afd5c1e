import type { LadderReading, Load, Taken } from '@even-watt/contract'
import { exponents } from './law'

/**
 * What each setting really took, brought to its label volts by the law of its kind, from readings in which it alone
 * was on: mean, standard deviation and number of readings. Readings without measured watts or volts tell nothing.
 */
export function takenOf(
  loads: readonly (Load & { id: string })[],
  readings: readonly Pick<LadderReading, 'uses' | 'values'>[],
): Taken[] {
  const watts = new Map<string, number[]>()
  for (const { uses, values } of readings) {
    const [use, ...more] = uses ?? []
    if (!use || more.length) continue
    const load = loads.find(({ id }) => id === use.load)
    const measured = (quantity: string) =>
      values.find((value) => value.quantity === quantity && value.grade === 'measured')?.value
    const [P, V] = [measured('P_C'), measured('V_C')]
    if (!load || P === undefined || V === undefined || !(P > 0) || !(V > 0)) continue
    const atLabel = P * (load.volts / V) ** exponents[load.kind]
    watts.set(use.setting, [...(watts.get(use.setting) ?? []), atLabel])
  }
  return [...watts].map(([setting, list]) => {
    const mean = list.reduce((sum, x) => sum + x, 0) / list.length
    const squares = list.reduce((sum, x) => sum + (x - mean) ** 2, 0)
    return {
      setting,
      watts: mean,
      spread: list.length > 1 ? Math.sqrt(squares / (list.length - 1)) : 0,
      times: list.length,
    }
  })
}
