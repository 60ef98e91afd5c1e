import type { Load } from '@even-watt/contract'
import { isFigure, plain, say, sayDuration } from '../figures'
import type { Analysis } from '../trials'
import { claimValue, ratedPower } from '../units'
import { surgeCurveOf, type SurgeCurve } from './surgeCurve'

/** Share of a limit from which a load is near it. */
const nearFrom = 0.9

type Place = 'below' | 'near' | 'beyond'

export interface HowLong {
  readonly watts: number
  /** How it stands to the continuous rating. */
  readonly place: Place | undefined
  /** s that the label permits; Infinity: for good; 0: not at all; undefined: it promises nothing. */
  readonly permitted: number | undefined
  /** W of its continuous rating that are left; below 0: it is over. */
  readonly left: number | undefined
  /** s that it was seen to carry as much or more. */
  readonly carried: number | undefined
  readonly sentences: readonly string[]
}

interface Tier {
  readonly watts: number
  /** undefined: the label states no time. */
  readonly seconds: number | undefined
}

/** s of a surge whose time the label does not state: some cycles. */
const unstated = 0.1

/** How long a load may run: for good, for a time, or not, by the label; and what was seen of as much (docs/method/surge.md). */
export function howLong(
  watts: number,
  analysis: Analysis,
  { points }: Pick<SurgeCurve, 'points'> = surgeCurveOf(analysis),
): HowLong {
  const { unit } = analysis.record.revision
  const rated = ratedPower(unit)
  const tiers = unit.claims
    .filter(({ quantity, unit: printed }) => quantity === 'surge power' && printed !== 'VA')
    .map((claim): Tier => ({ watts: claimValue(claim), seconds: claim.duration }))
    .sort((a, b) => a.watts - b.watts)
  const tier = tiers.find((one) => one.watts >= watts)
  const most = tiers.at(-1)?.watts ?? rated
  const permitted =
    rated === undefined && !tiers.length
      ? undefined
      : rated !== undefined && watts <= rated
        ? Infinity
        : tier
          ? (tier.seconds ?? unstated)
          : 0
  const place =
    rated === undefined ? undefined : watts > rated ? 'beyond' : watts >= nearFrom * rated ? 'near' : 'below'
  const carried = points
    .filter(({ W }) => isFigure(W) && W.x.value >= watts)
    .map(({ seconds }) => seconds)
    .reduce<number | undefined>((longest, one) => Math.max(longest ?? 0, one), undefined)
  const left = rated === undefined ? undefined : rated - watts
  return {
    watts,
    place,
    permitted,
    left,
    carried,
    sentences: told({ watts, permitted, carried, rated, most, tier }),
  }
}

function told({
  watts,
  permitted,
  carried,
  rated,
  most,
  tier,
}: Pick<HowLong, 'watts' | 'permitted' | 'carried'> & {
  readonly rated: number | undefined
  readonly most: number | undefined
  readonly tier: Tier | undefined
}): string[] {
  const over =
    rated !== undefined && watts > rated
      ? ` It is ${say(watts - rated, 'W')} (${say((100 * (watts - rated)) / rated, '%', 2)}) over its rating.`
      : ''
  const left =
    rated !== undefined && watts <= rated ? ` ${say(rated - watts, 'W')} of its rating are left.` : ''
  const label =
    permitted === undefined
      ? 'Its label promises no power.'
      : permitted === Infinity
        ? `By its label ${say(watts, 'W')} may run for good.${left}`
        : permitted > 0
          ? `By its label ${say(watts, 'W')} may run for ${tier?.seconds === undefined ? 'a moment; no time is stated' : `${sayDuration(permitted)} at most`}.${over}`
          : `${say(watts, 'W')} is beyond ${most === undefined ? 'it' : `all it promises (${say(most, 'W')})`}: it shuts down at once.${over}`
  return [
    label,
    carried === undefined
      ? 'As much was not carried in a test yet.'
      : `In tests as much was carried for ${sayDuration(carried)}.`,
  ]
}

export interface ShelfPlace extends HowLong {
  readonly name: string
}

/** Every setting of the shelf, the lightest first. */
export function shelfPlaces(shelf: readonly Load[], analysis: Analysis): ShelfPlace[] {
  const curve = surgeCurveOf(analysis)
  return shelf
    .flatMap(({ name, settings }) =>
      settings.map(({ name: setting, watts }) => ({
        name: settings.length > 1 ? `${name}, ${setting}` : name,
        watts,
      })),
    )
    .sort((a, b) => a.watts - b.watts)
    .map(({ name, watts }) => ({ name, ...howLong(watts, analysis, curve) }))
}

/** "for good", "30 s at most", "shuts down". */
export const sayPermitted = ({ permitted }: Pick<HowLong, 'permitted'>): string =>
  permitted === undefined
    ? 'not promised'
    : permitted === Infinity
      ? 'for good'
      : permitted > 0
        ? `${plain(permitted)} s at most`
        : 'shuts down'
