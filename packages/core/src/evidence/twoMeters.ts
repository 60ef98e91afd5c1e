import type { Quantity } from '@even-watt/contract'
import { contradict, normalisedError, plateauShare, rangeFor, type Uncertain } from '../meters'
import { candidatesOf, foundIn, type Candidate } from './candidates'
import type { Ground } from './ground'
import type { ReadingValues, Spreads } from './readingValues'

/** Two meters on one quantity at one step. */
export interface TwoMeters {
  readonly quantity: Quantity
  readonly used: { readonly name: string; readonly x: Uncertain }
  readonly other: { readonly name: string; readonly x: Uncertain }
  /** Over 1 they contradict; undefined where one of them is not let in, and so says nothing. */
  readonly E_n: number | undefined
  /** Why the one is used and not the other. */
  readonly why: string
  /** Share of the half cycle at ±V of a stepped wave on which both are right, where one of them responds to the average. */
  readonly plateau: Uncertain | undefined
}

/**
 * Every quantity that more than one meter read, the meter that is used against each other one (docs/method/meters.md). Two
 * ranges of one meter are not two meters.
 */
export function twoMetersAt(
  readings: readonly ReadingValues[],
  ground: Ground,
  spreads: Spreads,
  where: string,
): TwoMeters[] {
  return [...foundIn(readings)].flatMap(([quantity, found]) => {
    // Most quantities stand on one meter: nothing is weighed for them.
    if (new Set(found.map(({ value }) => value.meter)).size < 2) return []
    const [used, ...others] = candidatesOf(found, ground, spreads, where)
    return used?.meter ? others.flatMap((other) => comparedWith(quantity, used, other)) : []
  })
}

function comparedWith(quantity: Quantity, used: Candidate, other: Candidate): TwoMeters[] {
  if (!used.meter || !other.meter || used.meter.id === other.meter.id) return []
  return [
    {
      quantity,
      used: { name: used.meter.name, x: used.x },
      other: { name: other.meter.name, x: other.x },
      E_n: used.refused || other.refused ? undefined : normalisedError(used.x, other.x),
      why: used.refused
        ? 'neither decides anything'
        : other.refused
          ? `the other is not used: ${other.refused.why}`
          : 'the smaller uncertainty',
      plateau: quantity === 'V_C' && mayBeStepped(used, other) ? explained(used, other) : undefined,
    },
  ]
}

/** They contradict, or the one is refused for nothing but how it responds to this wave: no doubt, no range. */
const mayBeStepped = (used: Candidate, other: Candidate): boolean =>
  !used.refused &&
  (other.refused ? other.refused.code === 'responds to the average' : contradict(used.x, other.x))

/** A sine is what both read alike; further apart than this share a stepped wave is worth asking for. */
const alike = 0.02

function explained(used: Candidate, other: Candidate): Uncertain | undefined {
  const response = ({ meter, x }: Candidate) =>
    meter && rangeFor(meter.ranges, 'AC voltage', x.value)?.response
  const average = [used, other].find((one) => response(one) === 'average')
  const rms = [used, other].find((one) => response(one) === 'true RMS')
  if (!average || !rms || Math.abs(average.x.value / rms.x.value - 1) < alike) return undefined
  return plateauShare(average.x, rms.x)
}
