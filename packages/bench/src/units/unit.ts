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
    | {
        readonly kind: 'sine'
        readonly thd: number
        readonly thdPerWatt: number
        /** Peak that it can make of each volt at the terminals. */
        readonly peakPerVolt: number
      }
    | {
        readonly kind: 'stepped'
        /** Height of its plateau for each volt at the terminals, and how far it falls over its width for each watt. */
        readonly perVolt: number
        readonly droopPerWatt: number
      }
}

/** Watts lost at S, VA, and whether the fan runs. */
export function lossOf(unit: UnitModel, S: number): { watts: number; fan: boolean } {
  const fan = S >= unit.fan.from
  return { watts: unit.p0 + unit.p1 * S + unit.p2 * S ** 2 + (fan ? unit.fan.watts : 0), fan }
}

export const outputVoltage = (unit: UnitModel, P: number): number => unit.noLoadVoltage - unit.fallPerWatt * P

/** What a meter sees of an output: a sine, or steps of which ±V stands for a share of the half cycle. */
export type SeenAs =
  { readonly kind: 'sine' } | { readonly kind: 'stepped'; readonly delta: number; readonly frequency: number }

/** THD of a stepped wave from its plateau share: √(1/b − 1) with b = 8/(π²δ)·sin²(πδ/2). */
export const steppedDistortion = (delta: number): number =>
  Math.sqrt((Math.PI ** 2 * delta) / (8 * Math.sin((Math.PI * delta) / 2) ** 2) - 1)
