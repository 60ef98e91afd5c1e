import type { Outcome } from '@even-watt/contract'
import type { Asked } from './asked'
import { court } from './court'
import type { Promised } from './promise'
import type { Verdict } from './verdict'

/** From the worst to the best for whoever was promised something. */
const order: readonly Outcome[] = [
  'not met',
  'not met, within uncertainty',
  'not tested',
  'not shown',
  'met, within uncertainty',
  'met',
]

/** A verdict with those on the legs behind it, where a promise is of each. */
export interface Judged {
  readonly verdict: Verdict
  readonly legs?: readonly [Verdict, Verdict]
}

/** A promise of each leg is judged on both, and the worse of the two stands (docs/method/ladder.md). */
export function judged(promised: Promised, asked: Asked): Judged {
  if (!promised.legs || !asked.claim.eachLeg) return { verdict: court(promised, asked) }
  const legs = [court(promised, { ...asked, leg: 'L1' }), court(promised, { ...asked, leg: 'L2' })] as const
  const [one, two] = legs
  return { verdict: order.indexOf(one.outcome) <= order.indexOf(two.outcome) ? one : two, legs }
}
