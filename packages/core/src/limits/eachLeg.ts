import type { Outcome } from '@even-watt/contract'
import type { Judge } from '../findings'

/** From the worst to the best for whoever was promised something. */
const order: readonly Outcome[] = [
  'not met',
  'not met, within uncertainty',
  'not tested',
  'not shown',
  'met, within uncertainty',
  'met',
]

/** A promise of each leg is judged on both, and the worse of the two stands (docs/method/ladder.md). */
export const eachLeg =
  (judge: Judge): Judge =>
  (evidence) => {
    if (!evidence.claim.eachLeg) return judge(evidence)
    const [one, two] = [judge({ ...evidence, leg: 'L1' }), judge({ ...evidence, leg: 'L2' })]
    const worse = order.indexOf(one.outcome) <= order.indexOf(two.outcome) ? one : two
    return { ...worse, sentence: `L1: ${one.sentence} L2: ${two.sentence}` }
  }
