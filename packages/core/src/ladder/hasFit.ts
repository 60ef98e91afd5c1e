import type { LossFit } from './lossFit'

/** Whether there is a curve; else what is missing stands in its place. */
export const hasFit = (fit: LossFit | { readonly missing: string }): fit is LossFit => 'p0' in fit
