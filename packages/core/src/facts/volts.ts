import { decides, type Derived, type Figure } from '../figures'
import { expanded } from '../meters'
import type { Analysis } from '../trials'
import { claimOf, claimValue } from '../units'

/** Share of nominal volts under which what hangs on an output is not carried (docs/method/findings.md). */
export const carriedAt = 0.9

/** Share of nominal that the unit says it keeps; undefined: it says none. */
function promisedRegulation({ record }: Pick<Analysis, 'record'>): number | undefined {
  const claimed = claimOf(record.revision.unit, 'regulation')
  return claimed?.unit === '%' ? claimValue(claimed) : undefined
}

/** Output that does not stand as it should while a load is on, and against what. */
export interface Sagging {
  readonly off: Figure
  readonly against: 'promise' | 'nominal' | 'own'
}

/** Whether what is carried must stand within the regulation that is promised, or just at 90 % of its volts: for a moment. */
export type SagAgainst = 'promise' | '90 %'

/** What is known of the volts under a load. */
interface Loaded {
  /** (V − nominal) / nominal, and (V at no load − V) / V at no load. */
  readonly regulation: Derived
  readonly regulationNoLoad: Derived
}

/**
 * Whether an output stands under 90 % of nominal, or outside the regulation it promises, beyond its uncertainty: then its load
 * is not carried. Where it promises none it is held against its own volts at no load too, for a label may be of another market.
 */
export function saggingOf(
  loaded: Loaded,
  analysis: Pick<Analysis, 'record'>,
  than: SagAgainst = 'promise',
): Sagging | undefined {
  const { regulation, regulationNoLoad } = loaded
  const promised = than === 'promise' ? promisedRegulation(analysis) : undefined
  if (promised !== undefined)
    return decides(regulation) && Math.abs(regulation.x.value) - promised > expanded(regulation.x)
      ? { off: regulation, against: 'promise' }
      : undefined
  const folds = 1 - carriedAt
  if (decides(regulationNoLoad))
    return regulationNoLoad.x.value - folds > expanded(regulationNoLoad.x)
      ? { off: regulationNoLoad, against: 'own' }
      : undefined
  return decides(regulation) && -regulation.x.value - folds > expanded(regulation.x)
    ? { off: regulation, against: 'nominal' }
    : undefined
}
