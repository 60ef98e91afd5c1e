/**
 * Bound of I_r/Ī at the DC side (docs/method/conductors.md): 0.71/PF for a sine, √(1/δ − 1) for an unfiltered stepped wave.
 * pf in (0, 1]; δ in (0, 1].
 */
export const rippleBoundSine = (pf: number): number => 0.71 / pf
export const rippleBoundStepped = (delta: number): number => Math.sqrt(1 / delta - 1)

/**
 * By how much V̄·Ī overstates mean power: R·I_r², W. R: ohmic resistance behind the tap at ripple frequency, Ω;
 * rippleRms: RMS of the ripple current, A.
 */
export const rippleOverstatement = (resistance: number, rippleRms: number): number =>
  resistance * rippleRms ** 2

/** The one-sided error with bound M: correct by −M/2 and add a standard uncertainty M/(2√3). */
export const oneSided = (bound: number): { correction: number; u: number } => ({
  correction: -bound / 2,
  u: bound / (2 * Math.sqrt(3)),
})

/** RMS current that heats conductors and fuses: Ī·√(1 + (I_r/Ī)²), A. */
export const rmsCurrent = (mean: number, ripple: number): number => mean * Math.sqrt(1 + ripple ** 2)
