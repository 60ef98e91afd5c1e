import type { Claim, Unit } from '@even-watt/contract'
import { plain } from '../figures'
import type { Notice, Oddity } from '../oddities'
import { claimOf, claimValue, sayClaim } from './claims'

/** Share by which idle watts and idle amps of one label may differ at the nominal volts before they contradict. */
const idleApart = 0.2

/**
 * 41: promises of one unit that cannot both hold (docs/method/oddities.md). A figure that was printed for other conditions, or
 * for another port or mode, contradicts nothing.
 */
export const noticeContradictions: Notice = ({ analysis, unit }) =>
  [...samePromise(unit), ...alarmUnderCutoff(unit), ...idleTwice(unit)].map(({ of, odd }): Oddity => ({
    number: 41,
    odd,
    why: 'One of them is wrong, or was printed for other conditions.',
    todo: 'Read both places again and photograph them; enter the load, time or volts that each is stated for.',
    at: { revision: analysis.record.revision.number, claim: of.id },
  }))

interface Contradiction {
  readonly of: Claim
  readonly odd: string
}

const kinds: Partial<Record<Claim['unit'], string>> = { kW: 'W', kWh: 'Wh', ms: 's', min: 's', h: 's' }

/** What two promises must share to be the same one. */
const conditionsOf = (claim: Claim) =>
  JSON.stringify([
    ...[claim.quantity, claim.comparator, kinds[claim.unit] ?? claim.unit, claim.duration, claim.load],
    ...[claim.volts?.from, claim.volts?.to, claim.room, claim.eachLeg, claim.port, claim.portVolts],
    ...[claim.mode, claim.means, claim.source],
  ])

function samePromise({ claims }: Unit): Contradiction[] {
  return claims.flatMap((claim, i) => {
    const first = claims.slice(0, i).find((other) => conditionsOf(other) === conditionsOf(claim))
    return first && Math.abs(claimValue(first) - claimValue(claim)) > 1e-9 * claimValue(claim)
      ? [
          {
            of: claim,
            odd: `${claim.quantity} is ${sayClaim(first)} by the ${first.readWhere}, and ${sayClaim(claim)} by the ${claim.readWhere}.`,
          },
        ]
      : []
  })
}

function alarmUnderCutoff(unit: Unit): Contradiction[] {
  const [alarm, cutoff] = [claimOf(unit, 'alarm voltage'), claimOf(unit, 'cutoff voltage')]
  return alarm && cutoff && claimValue(alarm) <= claimValue(cutoff)
    ? [
        {
          of: alarm,
          odd: `It warns at ${sayClaim(alarm)} and stops at ${sayClaim(cutoff)}: the warning would come too late.`,
        },
      ]
    : []
}

function idleTwice(unit: Unit): Contradiction[] {
  const { claims, inputVoltage } = unit
  const idle = claims.filter(({ quantity, mode }) => quantity === 'idle draw' && mode === undefined)
  const watts = idle.find((claim) => claim.unit === 'W')
  const amps = idle.find((claim) => claim.unit === 'A')
  if (!watts || !amps || inputVoltage === undefined) return []
  const ratio = (claimValue(amps) * inputVoltage) / claimValue(watts)
  return Math.abs(Math.log(ratio)) > Math.log(1 + idleApart)
    ? [
        {
          of: amps,
          odd: `Idle draw is ${sayClaim(watts)} and ${sayClaim(amps)}, which are not the same at ${plain(inputVoltage)} V.`,
        },
      ]
    : []
}
