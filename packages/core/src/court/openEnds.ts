import type { LimiterSet, Quantity } from '@even-watt/contract'
import { quantityData } from '../evidence'
import { say, type Figure } from '../figures'
import { sayClaim } from '../units'
import type { Asked } from './asked'
import { hindrance, type Hindrance } from './hindrances'
import { sourceNeeded } from './sourceNeeded'

/** A test that went as far as its loads did. */
export const carriesNoMore = (asked: Asked): Hindrance =>
  hindrance('wants no more', () => ({
    why: '',
    would:
      (asked.limiter?.limiter === 'supply' ? sourceNeeded(asked) : undefined) ??
      `A load of ${loadOf(asked)} would show it.`,
  }))

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
    why: `${nameOf(symbol)} does not count here: ${refused?.why ?? `it is only ${grade}.`}`,
    would: refused?.todo ?? 'A measured value is needed.',
  }))

/** What is worked out, as a tester says it; a symbol that is not here is said as it is. */
const workedOut: Readonly<Record<string, string>> = {
  η: 'Efficiency',
  P_idle: 'What it takes with nothing connected',
  R_path: 'The resistance of the leads',
  R_bank: 'The resistance of the bank',
  P_path: 'What the leads take',
  S: 'What flows at the outlet, in VA,',
}

/** What a meter reads by its words, one or several of them as one: "What was read of the watts at the outlet". */
function nameOf(symbol: string): string {
  if (symbol in quantityData) return `What was read of the ${quantityData[symbol as Quantity].words}`
  return workedOut[symbol] ?? workedOut[symbol.split('_')[0] ?? ''] ?? symbol
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
