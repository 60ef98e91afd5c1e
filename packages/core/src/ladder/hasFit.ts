import type { LossFit, NoCurve } from './lossFit'

/** Whether there is a curve; else what is missing stands in its place. */
export const hasFit = (fit: LossFit | NoCurve): fit is LossFit => 'p0' in fit
