import type { LimiterSet, Quantity } from '@even-watt/contract'
import { quantityData } from '../evidence'
import { say, type Figure } from '../figures'
import { sayClaim } from '../units'
import type { Asked } from './asked'
import { hindrance, type Hindrance } from './hindrances'

/** A test that went as far as its loads did. */
export const carriesNoMore = (asked: Asked): Hindrance =>
  hindrance('wants no more', () => ({ why: '', would: `A load of ${loadOf(asked)} would show it.` }))

/** The load that a promise is for. */
const loadOf = ({ claim }: Asked): string =>
  claim.quantity === 'overload time' && claim.load !== undefined ? say(claim.load, 'W') : sayClaim(claim)

/** What happened past a promise says nothing against it. */
export const pastIt = (asked: Asked): Hindrance =>
  hindrance('beyond what is promised', () => ({
    why: 'That is more than it promises, so that it says nothing against it.',
    would: `A load of just ${loadOf(asked)} would show it.`,
  }))

/** A figure that the gate refused, or that nobody read. */
export const mayNot = ({ symbol, grade, refused }: Figure): Hindrance =>
  hindrance('may not decide', () => ({
    why: `${nameOf(symbol)} cannot decide: ${refused?.why ?? `it is only ${grade}.`}`,
    would: refused?.todo ?? 'A measured value is needed.',
  }))

/** What a meter reads by its words; what is worked out by its symbol. */
const nameOf = (symbol: string): string => {
  if (!(symbol in quantityData)) return symbol
  const { words } = quantityData[symbol as Quantity]
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** What would break a promise, and does not where the tester says that something else ended it. */
export const unsaid = (asked: Asked): Hindrance =>
  hindrance('end not known', () => ({
    why: '',
    would: asked.limiter?.wouldShow ?? '',
  }))

/** What ended it as the tester says it. */
export const setByHand = (reason: Hindrance, { limiter }: LimiterSet): Hindrance => ({
  ...reason,
  by: limiter,
})
