import { say } from '../figures'
import { equipment, type Equipment } from './equipment'

export interface RidesThrough {
  readonly rides: readonly string[]
  readonly mayNot: readonly string[]
}

/** Which kinds of equipment are sure to ride through so many ms without volts, and which are not (docs/method/minds.md). */
export function ridesThrough(ms: number, kinds: readonly Equipment[] = equipment): RidesThrough {
  const rides = ({ wants: { gap = Infinity } }: Equipment) => ms <= gap
  return {
    rides: kinds.filter(rides).map(({ kind }) => kind),
    mayNot: kinds.filter((one) => !rides(one)).map(({ kind }) => kind),
  }
}

/** The same in sentences. */
export function sayRidesThrough(ms: number): string {
  const { rides, mayNot } = ridesThrough(ms)
  return mayNot.length
    ? `${say(ms, 'ms', 2)}: sure to ride through are ${rides.join('; ') || 'none'}. Not sure: ${mayNot.join('; ')}.`
    : `${say(ms, 'ms', 2)}: every kind of equipment rides through.`
}
