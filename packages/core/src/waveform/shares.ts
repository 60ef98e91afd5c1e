/** Distortion as a share of the whole RMS, THD_R, from that of the fundamental, THD_F; both fractions. */
export const thdOfRms = (thd: number): number => thd / Math.sqrt(1 + thd ** 2)

/**
 * K-factor of a current, Σ h²·I_h² / Σ I_h²: how much more than a sine it heats a transformer's windings by eddy currents
 * (IEEE C57.110, docs/method/waveform.md). 1 for a sine; undefined of no current.
 */
export function kFactor(harmonics: readonly number[]): number | undefined {
  const squares = harmonics.map((I) => I ** 2)
  const whole = squares.reduce((sum, square) => sum + square, 0)
  return whole > 0 ? squares.reduce((sum, square, i) => sum + (i + 1) ** 2 * square, 0) / whole : undefined
}
