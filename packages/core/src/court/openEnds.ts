import type { LimiterSet } from '@even-watt/contract'
import { sayClaim } from '../units'
import type { Asked } from './asked'
import { hindrance, type Hindrance } from './hindrances'

/** A test that went as far as its loads did. */
export const carriesNoMore = ({ claim }: Asked): Hindrance =>
  hindrance('wants no more', () => ({ why: '', would: `A load of ${sayClaim(claim)} would show it.` }))

/** What happened past a promise says nothing against it. */
export const pastIt = ({ claim }: Asked): Hindrance =>
  hindrance('beyond what is promised', () => ({
    why: 'That is more than it promises, so that it says nothing against it.',
    would: `A load of just ${sayClaim(claim)} would show it.`,
  }))

/** What ended it as the tester says it. */
export const setByHand = (reason: Hindrance, { limiter }: LimiterSet): Hindrance => ({
  ...reason,
  by: limiter,
})
