import type { ClaimQuantity, Outcome } from '@even-watt/contract'
import { isMet, isNotMet } from '../court'
import { sayClaim } from '../units'
import type { Asked, Known, Mark } from './answer'

/** How the word of the court is told in a line. */
export const markOf: Readonly<Record<Outcome, Mark>> = {
  met: 'yes',
  'met, within uncertainty': 'roughly',
  'not met': 'no',
  'not met, within uncertainty': 'hardly',
  'not shown': 'not shown',
  'not tested': 'not read',
}

/**
 * What was read, as it stands to the promises of its kind: one that is broken says no, one that is kept says yes where all of it
 * was read; without any it is answered, and neither good nor bad.
 */
export function judgedBy(quantities: readonly ClaimQuantity[], known: Known, { view }: Asked): Known {
  if (known.mark === 'not read') return known
  const own = view.findings.filter(({ claim }) => quantities.includes(claim.quantity))
  const broken = own.filter(({ standing }) => isNotMet(standing.outcome))
  if (broken.length)
    return {
      ...known,
      mark: broken.some(({ standing }) => standing.outcome === 'not met') ? 'no' : 'hardly',
      why: [
        `Not met: ${broken.map(({ claim }) => `${claim.quantity} (${sayClaim(claim)})`).join(', ')}.`,
        ...known.why,
      ],
    }
  const kept = own.some(({ standing }) => isMet(standing.outcome))
  return known.mark === 'yes' && !kept ? { ...known, mark: 'answered' } : known
}
