import type { Rig } from '@even-watt/contract'
import { estimated, isFigure, type Derived } from '../figures'
import { exact, methodSource, rectangular, uncertain } from '../meters'
import { bankSource, statedSpread, unknownResistances, unknownRests, type Supply } from '../supply'
import { expectedTotal, placed } from './elements'

/** What is known of a supply, each with where it was come by. */
export interface KnownSupply {
  readonly E: Derived
  readonly R_bank: Derived
  readonly R_path: Derived
  /** A of the support source beyond what the engine itself uses; 0: none. */
  readonly support: number
}

export const supportCurrent = (rig: Pick<Rig, 'support'>): number =>
  rig.support ? Math.max(0, rig.support.current - rig.support.ownUse) : 0

/** What a rig promises before anything was measured on it: rest volts, stated and usual resistances. */
export function promisedSupply(rig: Rig, scope = ''): KnownSupply {
  const source = bankSource(rig.bank)
  const [unknown, rests] = [unknownResistances(rig.bank), unknownRests(rig.bank)]
  const why = unknown.length
    ? `The resistance of ${unknown.join(', ')} is not known: a short load test tells.`
    : rests.length
      ? `The kind of ${rests.join(', ')} is not known: read its volts at rest.`
      : 'No closed way leads through the bank.'
  const R_path = expectedTotal(
    placed(rig).map(({ element }) => element),
    rig.typical,
    20,
    scope,
  )
  return {
    E: source
      ? estimated(
          'E',
          'V',
          source.E === 0
            ? exact(0)
            : uncertain(source.E, methodSource('rest volts', scope), rectangular(0.01 * source.E)),
          'rest volts of the bank',
        )
      : { missing: why },
    R_bank: source
      ? estimated(
          'R_source',
          'mΩ',
          uncertain(source.R, methodSource('stated resistance', scope), rectangular(statedSpread * source.R)),
          'stated resistances of the batteries and links',
        )
      : { missing: why },
    R_path:
      rig.leads === 'not known'
        ? { missing: 'The leads are not described: volts at both ends and the current tell.' }
        : estimated('R_path', 'mΩ', R_path, 'sum of what is expected of each element, 20 °C'),
    support: supportCurrent(rig),
  }
}

/**
 * As far as the posts, where nothing is known of the path: what stands there is more than ever reaches the terminals.
 */
export const asFarAsPosts = (known: KnownSupply): KnownSupply =>
  isFigure(known.R_path)
    ? known
    : { ...known, R_path: estimated('R_path', 'mΩ', exact(0), 'nothing known of the path: at the posts') }

/** The numbers alone, for solving; undefined while one is missing. */
export function supplyOf(known: KnownSupply): Supply | undefined {
  const { E, R_bank, R_path, support } = known
  if (!isFigure(E) || !isFigure(R_bank) || !isFigure(R_path)) return undefined
  return { bank: { E: E.x.value, R: R_bank.x.value }, path: R_path.x.value, support }
}
