import type { LoadKind } from '@even-watt/contract'
import { exponents, wattsAt } from '../loads'
import { settledPower, type OutputVoltage } from './voltage'

export interface PlanLoad {
  readonly id: string
  readonly kind: LoadKind
  /** Label volts. */
  readonly volts: number
  /** W at label volts of each setting; what it really took in earlier trials, where that is known. */
  readonly settings: readonly number[]
}

/** The setting of each load, in the order of the loads: 0 is off, k its k-th setting. */
export type Settings = readonly number[]

export interface Question {
  readonly loads: readonly PlanLoad[]
  /** W, in the order of the ladder; all above 0. */
  readonly targets: readonly number[]
  readonly voltage: OutputVoltage
  /** Loads that can be on at once. */
  readonly outlets: number
  /** W that cords, weakest link and meters allow together. */
  readonly mostPower: number
  /** For each target what the tester fixed; undefined: free. */
  readonly locked?: readonly (Settings | undefined)[]
}

/** A step counts as on target inside this share of it. */
export const tolerance = 0.02

/** W of each setting of each load at one voltage; off is 0. */
export const wattsTable = (loads: readonly PlanLoad[], V: number): number[][] =>
  loads.map(({ kind, volts, settings }) => [0, ...settings.map((watts) => wattsAt(watts, volts, kind, V))])

/** Exponents by which loads follow the voltage; sums of each are all that a set's power depends on. */
const laws = [...new Set(Object.values(exponents))]

/** For each load its law, and for each of its settings W per volt to that law's exponent; off is 0. */
export interface Coefficients {
  readonly law: readonly number[]
  readonly factor: readonly (readonly number[])[]
}

export const coefficientsOf = (loads: readonly PlanLoad[]): Coefficients => ({
  law: loads.map(({ kind }) => laws.indexOf(exponents[kind])),
  factor: loads.map(({ kind, volts, settings }) => [
    0,
    ...settings.map((watts) => watts / volts ** exponents[kind]),
  ]),
})

/** W that a set really takes, at the voltage that it causes. */
export function powerOf(
  { loads, voltage }: Pick<Question, 'loads' | 'voltage'>,
  set: Settings,
  coefficients = coefficientsOf(loads),
): number {
  const sums = laws.map(() => 0)
  for (let i = 0; i < set.length; i++) {
    const factor = coefficients.factor[i]?.[set[i] ?? 0]
    const law = coefficients.law[i]
    if (factor && law !== undefined) sums[law] = (sums[law] ?? 0) + factor
  }
  const draw = (V: number) => {
    let P = 0
    for (let law = 0; law < laws.length; law++) {
      const sum = sums[law]
      if (sum) P += sum * V ** (laws[law] ?? 0)
    }
    return P
  }
  return settledPower(draw, voltage)
}

export const itemsOf = (set: Settings): number => set.reduce((sum, k) => sum + (k > 0 ? 1 : 0), 0)

/** Loads that are set otherwise. */
export const changesBetween = (a: Settings, b: Settings): number =>
  b.reduce((sum, k, i) => sum + (k === (a[i] ?? 0) ? 0 : 1), 0)
