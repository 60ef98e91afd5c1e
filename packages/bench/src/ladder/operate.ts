import { apparentAt, powerAt, type LoadModel } from '../loads/law'
import { underPower, type Source } from '@even-watt/core'
import { lossOf, outputVoltage, steppedDistortion, type SeenAs, type UnitModel } from '../units/unit'
import { stepsFor } from '../waveform/outlet'

export interface BenchModel {
  readonly bank: Source
  /** Resistance of each element from posts to terminals, Ω, by its id. */
  readonly path: ReadonlyMap<string, number>
  readonly unit: UnitModel
}

/** What truly is at the taps. */
export interface Truth {
  readonly V_A: number
  readonly V_B: number
  readonly I: number
  readonly I_bank: number
  readonly V_C: number
  readonly I_C: number
  readonly P_C: number
  readonly S: number
  readonly PF: number
  readonly f: number
  readonly THD: number
  readonly wave: SeenAs
  readonly P_B: number
  readonly fan: boolean
  readonly alarm: boolean
}

/** Steady state with these loads; undefined when the supply cannot deliver it. */
export function operate(bench: BenchModel, loads: readonly LoadModel[]): Truth | undefined {
  const { bank, path, unit } = bench
  let V_C = unit.noLoadVoltage
  for (let i = 0; i < 60; i++) V_C = outputVoltage(unit, powerAt(loads, V_C))
  const P_C = powerAt(loads, V_C)
  const S = apparentAt(loads, V_C)
  const { watts, fan } = lossOf(unit, S)
  const P_B = P_C + watts
  const total = [...path.values()].reduce((sum, R) => sum + R, 0)
  const point = underPower({ bank, path: total, support: 0 }, P_B)
  if (!point) return undefined
  const { V_A, V_B, I, I_bank } = point
  const wave: SeenAs =
    unit.wave.kind === 'stepped'
      ? { kind: 'stepped', frequency: unit.frequency, delta: stepsFor(unit.wave, { V_B, V_C, P_C }).delta }
      : { kind: 'sine' }
  return {
    V_A,
    V_B,
    I,
    I_bank,
    V_C,
    I_C: S / V_C,
    P_C,
    S,
    PF: S > 0 ? P_C / S : 1,
    f: unit.frequency,
    THD:
      unit.wave.kind === 'sine'
        ? unit.wave.thd + unit.wave.thdPerWatt * P_C
        : steppedDistortion(wave.kind === 'stepped' ? wave.delta : 1),
    wave,
    P_B,
    fan,
    alarm: V_B < unit.alarm,
  }
}
