import type { ChannelFigures } from '@even-watt/contract'

/** Power of two channels at once (IEEE 1459, docs/method/waveform.md): W, VA and var, and their shares. */
export interface PowerTerms {
  readonly P: number
  readonly S: number
  readonly PF: number
  /** Displacement factor: of the fundamentals alone. */
  readonly cosPhi1: number
  readonly P1: number
  readonly Q1: number
  /** Of distorted current, of distorted voltage, of both. */
  readonly D_I: number
  readonly D_V: number
  readonly S_H: number
  /** Apparent of the fundamentals, and all that is not: S_N = √(S² − S1²). */
  readonly S1: number
  readonly S_N: number
  /** All that is not active. */
  readonly N: number
  /** Angle by which the current's fundamental lags, rad. */
  readonly lag: number
}

/**
 * Terms of power from the figures of volts and amperes captured at once and the mean P of their product, W. What is not the
 * fundamental counts as harmonic, the mean too, as in the standard. Undefined where one of them does not repeat.
 */
export function powerTerms(volts: ChannelFigures, amps: ChannelFigures, P: number): PowerTerms | undefined {
  if (!volts.wave || !amps.wave) return undefined
  const [V1, I1] = [volts.wave.fundamental, amps.wave.fundamental]
  const lag = (volts.wave.phases[0] ?? 0) - (amps.wave.phases[0] ?? 0)
  const S = volts.rms * amps.rms
  const harmonic = ({ rms }: ChannelFigures, first: number) => Math.sqrt(Math.max(0, rms ** 2 - first ** 2))
  const [V_H, I_H] = [harmonic(volts, V1), harmonic(amps, I1)]
  return {
    P,
    S,
    PF: S > 0 ? P / S : 1,
    cosPhi1: Math.cos(lag),
    P1: V1 * I1 * Math.cos(lag),
    Q1: V1 * I1 * Math.sin(lag),
    D_I: V1 * I_H,
    D_V: V_H * I1,
    S_H: V_H * I_H,
    S1: V1 * I1,
    S_N: Math.sqrt(Math.max(0, S ** 2 - (V1 * I1) ** 2)),
    N: Math.sqrt(Math.max(0, S ** 2 - P ** 2)),
    lag,
  }
}

/** What a skew of `seconds` between the channels does to P, W: Q1 turned by it, to the first order. */
export const skewEffect = ({ Q1 }: Pick<PowerTerms, 'Q1'>, frequency: number, seconds: number): number =>
  Math.abs(Q1) * 2 * Math.PI * frequency * seconds
