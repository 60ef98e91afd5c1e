import { ratedPower } from '../units'
import type { Evidence } from './finding'

/** Share from which a load is as good as all of it: loads come in steps. */
export const nearlyAll = 0.9
/** Share of a load from which what happens is no longer against a promise at that load. */
export const tooMuch = 1.05

/** W at which a promise is to hold: the load it is stated for, else all that the unit is rated for; undefined: neither is stated. */
export const promisedLoad = ({ claim, analysis }: Pick<Evidence, 'claim' | 'analysis'>): number | undefined =>
  claim.load ?? ratedPower(analysis.record.revision.unit)
