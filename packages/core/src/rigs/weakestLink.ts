import { sayTemperature } from '../figures'
import type { PathElement, Rig } from '@even-watt/contract'
import {
  allowedTime,
  ampacity,
  heatingTime,
  materialData,
  parallelShares,
  tauFromRating,
  usualTerminal,
} from '../conductors'
import { sharing } from '../supply'
import { isCable, placed, type SideName } from './elements'

/** One thing that carries the current, with what it stands and how near the current is. */
export interface LinkRating {
  readonly id: string
  readonly name: string
  readonly kind: string
  readonly side: SideName | 'bank' | 'support'
  /** Continuous, A of the unit's current; undefined: no rating is stated. */
  readonly continuous: number | undefined
  /** A it carries of the current asked about. */
  readonly current: number
  /** Share of the rating left, 0.2: a fifth; negative: exceeded. Undefined without a rating. */
  readonly margin: number | undefined
  /** s for which it may be exceeded; Infinity inside its rating; undefined where no curve is known. */
  readonly allowed: number | undefined
  /** How the rating was come by. */
  readonly because: string
}

/**
 * Margins of every element of the rig at a current into the unit, A, the tightest first; elements without a rating
 * last (docs/method/rigs.md). A battery carries its own share of the current.
 */
export function weakestLinks(rig: Rig, current: number): LinkRating[] {
  const ratings = [
    ...placed(rig).map(({ side, element }) => rate(element, side, current, rig)),
    ...batteryRatings(rig, current),
  ]
  return ratings.sort((a, b) => (a.margin ?? Infinity) - (b.margin ?? Infinity))
}

/** The current into the unit at which the first element reaches its rating, A; undefined: none is rated. */
export function weakestCurrent(rig: Rig): { current: number; link: LinkRating } | undefined {
  const links = weakestLinks(rig, 1)
    .filter((link) => link.continuous !== undefined)
    .map((link) => ({ link, current: (link.continuous ?? 0) / Math.max(1e-9, link.current) }))
  return links.reduce<(typeof links)[number] | undefined>(
    (least, one) => (!least || one.current < least.current ? one : least),
    undefined,
  )
}

function rate(element: PathElement, side: SideName, current: number, rig: Rig): LinkRating {
  const base = { id: element.id, name: element.name, kind: element.kind, side }
  if (!isCable(element)) {
    const { continuous, shortTime } = element
    const tau =
      continuous && shortTime ? tauFromRating(continuous, shortTime.current, shortTime.seconds) : undefined
    return {
      ...base,
      continuous,
      current,
      margin: continuous && 1 - current / continuous,
      allowed: timeFor(current, continuous, tau),
      because: continuous === undefined ? 'no rating stated' : 'as rated',
    }
  }
  // Its ends are screwed to terminals, which stand less than good insulation does.
  const stands = Math.min(element.insulation, usualTerminal)
  // The conductor of the cable that its share of the current brings nearest its ampacity.
  const shares = parallelShares(element.conductors, current)
  const runs = element.conductors.map((conductor, i) => {
    const carried = ampacity(conductor, { insulation: stands, ambient: rig.ambient })
    return { conductor, share: shares[i] ?? 0, carried }
  })
  const known = runs.flatMap((run) => (run.carried === undefined ? [] : [{ ...run, carried: run.carried }]))
  const tightest = known.sort((a, b) => a.carried / a.share - b.carried / b.share)[0]
  if (!tightest || known.length < runs.length) {
    return {
      ...base,
      continuous: undefined,
      current,
      margin: undefined,
      allowed: undefined,
      because: 'thinner than the ampacity table goes',
    }
  }
  const { conductor, share, carried } = tightest
  const { rho20, alpha } = materialData[conductor.material]
  const rho = conductor.strandingFactor * rho20 * (1 + alpha * (stands - 20))
  const tau = heatingTime(conductor, rho, carried / conductor.runs, stands - rig.ambient)
  return {
    ...base,
    continuous: (carried * current) / share,
    current,
    margin: 1 - share / carried,
    allowed: timeFor(share, carried, tau),
    because: `${sayTemperature(stands)} ${stands < element.insulation ? 'at its terminals' : 'insulation'}, ${sayTemperature(rig.ambient, 1)} around it, starting table; check the local code`,
  }
}

function batteryRatings(rig: Rig, current: number): LinkRating[] {
  const fromBank = Math.max(0, current - (rig.support ? rig.support.current - rig.support.ownUse : 0))
  const shares = sharing(rig.bank, fromBank)
  const equal = fromBank / rig.bank.strings.length
  return rig.bank.strings.flatMap((string, i) =>
    string
      .filter(({ limit }) => limit !== undefined)
      .map((battery): LinkRating => {
        const carried = Math.abs(shares?.[i] ?? equal)
        const limit = battery.limit ?? 0
        return {
          id: battery.id,
          name: `BMS of ${battery.name}`,
          kind: 'BMS',
          side: 'bank',
          continuous: limit,
          current: carried,
          margin: 1 - carried / limit,
          allowed: carried <= limit ? Infinity : undefined,
          because: shares ? 'its share of the current' : 'shares taken as equal: a resistance is not known',
        }
      }),
  )
}

function timeFor(
  current: number,
  continuous: number | undefined,
  tau: number | undefined,
): number | undefined {
  if (continuous === undefined) return undefined
  if (current <= continuous) return Infinity
  return tau === undefined ? undefined : allowedTime(current, continuous, tau)
}

/** What each battery's own protection must carry at least, A, for a current of the unit: its share × 1.25. */
export function minimumBms(rig: Rig, current: number): number {
  const shares = sharing(rig.bank, current)
  const most = shares ? Math.max(...shares) : current / rig.bank.strings.length
  return 1.25 * most
}
