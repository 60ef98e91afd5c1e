import type { UnitModel } from '../units/unit'

/** A wave over its phase, 0 to 1 from the rising zero of its fundamental, V or A. */
export type Wave = (turn: number) => number

const part = (turn: number) => turn - Math.floor(turn)
const points = 8192

/** RMS of a wave over one cycle. */
export function rmsOf(wave: Wave): number {
  let sum = 0
  for (let i = 0; i < points; i++) sum += wave((i + 0.5) / points) ** 2
  return Math.sqrt(sum / points)
}

/** What is steered in a stepped wave at some load: from the volts of the bank, its capacitors and its regulation. */
export interface Steps {
  /** V at the beginning of the plateau. */
  readonly height: number
  /** Share of the half cycle at ±V. */
  readonly delta: number
  /** Share by which the plateau falls over its width. */
  readonly droop: number
}

/**
 * The steps that make an RMS: the height follows the terminals, the droop the load, and the width is what the regulation makes
 * of them.
 */
export function stepsFor(
  wave: Extract<UnitModel['wave'], { kind: 'stepped' }>,
  { V_B, V_C, P_C }: { readonly V_B: number; readonly V_C: number; readonly P_C: number },
): Steps {
  const height = wave.perVolt * V_B
  const droop = wave.droopPerWatt * P_C
  return { height, droop, delta: Math.min(1, V_C ** 2 / (height ** 2 * (1 - droop + droop ** 2 / 3))) }
}

/** Volts of steps over one cycle. */
export const steppedWave =
  ({ height, delta, droop }: Steps): Wave =>
  (turn) => {
    const within = (part(2 * part(turn)) - (1 - delta) / 2) / delta
    return within < 0 || within >= 1 ? 0 : (part(turn) < 0.5 ? 1 : -1) * height * (1 - droop * within)
  }

/** A sine with its third and fifth harmonics, cut off where the terminals do not carry its peak; of the RMS asked for. */
export function sineWave(V_C: number, thd: number, most = Infinity): Wave {
  const bent: Wave = (turn) => {
    const angle = 2 * Math.PI * turn
    return Math.sin(angle) + thd * (0.8 * Math.sin(3 * angle) + 0.6 * Math.sin(5 * angle + Math.PI / 3))
  }
  // The regulation raises what is cut off until the RMS is there again, as far as the peak lets it.
  let scale = V_C / rmsOf(bent)
  const cut: Wave = (turn) => Math.max(-most, Math.min(most, scale * bent(turn)))
  for (let i = 0; i < 30; i++) scale *= V_C / rmsOf(cut)
  return cut
}

/** The volts at the outlet of a unit over one cycle. */
export function outletWave(
  unit: UnitModel,
  at: { readonly V_B: number; readonly V_C: number; readonly P_C: number; readonly THD: number },
): Wave {
  return unit.wave.kind === 'stepped'
    ? steppedWave(stepsFor(unit.wave, at))
    : sineWave(at.V_C, at.THD, unit.wave.peakPerVolt * at.V_B)
}
