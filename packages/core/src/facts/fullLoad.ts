import type { Claim } from '@even-watt/contract'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'

/** Share from which a load is as good as all of it: loads come in steps. */
export const nearlyAll = 0.9
/** Share of a load from which what happens is no longer against a promise at that load. */
export const tooMuch = 1.05

/** W at which a promise is to hold: the load it is stated for, else all that the unit is rated for; undefined: neither is stated. */
export const promisedLoad = (
  claim: Pick<Claim, 'load'>,
  { record }: Pick<Analysis, 'record'>,
): number | undefined => claim.load ?? ratedPower(record.revision.unit)
