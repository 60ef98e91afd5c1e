/** Steady-state behaviour of a unit. */
export interface UnitModel {
  /** Loss terms: W, W/VA, W/VA². */
  readonly p0: number
  readonly p1: number
  readonly p2: number
  readonly fan: { readonly watts: number; readonly from: number }
  /** Output voltage with nothing connected, V RMS, and its fall per watt. */
  readonly noLoadVoltage: number
  readonly fallPerWatt: number
  readonly frequency: number
  readonly alarm: number
  readonly wave:
    | { readonly kind: 'sine'; readonly thd: number; readonly thdPerWatt: number }
    | { readonly kind: 'stepped'; readonly delta: number }
}

/** Watts lost at S, VA, and whether the fan runs. */
export function lossOf(unit: UnitModel, S: number): { watts: number; fan: boolean } {
  const fan = S >= unit.fan.from
  return { watts: unit.p0 + unit.p1 * S + unit.p2 * S ** 2 + (fan ? unit.fan.watts : 0), fan }
}

export const outputVoltage = (unit: UnitModel, P: number): number => unit.noLoadVoltage - unit.fallPerWatt * P

/** True THD: stated for a sine; of a stepped wave from its plateau share, √(1/b − 1) with b = 8/(π²δ)·sin²(πδ/2). */
export function distortion(unit: UnitModel, P: number): number {
  if (unit.wave.kind === 'sine') return unit.wave.thd + unit.wave.thdPerWatt * P
  const { delta } = unit.wave
  return Math.sqrt((Math.PI ** 2 * delta) / (8 * Math.sin((Math.PI * delta) / 2) ** 2) - 1)
}
