import type { Claim, ClaimQuantity, ClaimUnit, Unit } from '@even-watt/contract'
import { plain, sayDuration, sayTemperature, stated, type Derived } from '../figures'

const factors: Record<ClaimUnit, number> = {
  W: 1,
  kW: 1000,
  VA: 1,
  '%': 0.01,
  A: 1,
  V: 1,
  Hz: 1,
  s: 1,
  ms: 0.001,
  min: 60,
  h: 3600,
  kWh: 1000,
  'dB(A)': 1,
  '°C': 1,
  cycles: 1,
  Wh: 1,
  Ah: 1,
}

/** The claimed value in SI (percentages as fractions). */
export const claimValue = (claim: Claim): number => claim.value * factors[claim.unit]

/** "1400 W for 10 s", "±3 %", "≤ 11 W". */
export function sayClaim(claim: Claim): string {
  // What a label calls pure sine is judged by what a sine may have.
  if (claim.quantity === 'wave') return `pure sine (THD under ${plain(claim.value)} %)`
  const sign = { 'at least': '', 'at most': '≤ ', 'within ±': '±' }[claim.comparator]
  const time = claim.duration === undefined ? '' : ` for ${sayDuration(claim.duration)}`
  const load = claim.load === undefined ? '' : ` at ${plain(claim.load)} W`
  const volts = claim.volts
    ? ` at ${[...new Set([claim.volts.from, claim.volts.to])].map(plain).join(' to ')} V`
    : ''
  const room = claim.room === undefined ? '' : ` up to ${sayTemperature(claim.room, 1)}`
  const of = [claim.port, claim.portVolts && `${plain(claim.portVolts)} V`, claim.mode, claim.source]
    .filter(Boolean)
    .join(' ')
  const leg = claim.eachLeg ? ' on each leg' : ''
  const value = claim.unit === '°C' ? sayTemperature(claim.value, 1) : `${plain(claim.value)} ${claim.unit}`
  return `${sign}${value}${of && ` (${of})`}${leg}${time}${load}${volts}${room}`
}

/** The promise that a unit makes of a quantity; the first, where it makes several. */
export const claimOf = (unit: Pick<Unit, 'claims'>, quantity: ClaimQuantity): Claim | undefined =>
  unit.claims.find((claim) => claim.quantity === quantity)

/** What it promises of a quantity, in SI; undefined: nothing. */
export function claimedValue(unit: Pick<Unit, 'claims'>, quantity: ClaimQuantity): number | undefined {
  const claim = claimOf(unit, quantity)
  return claim && claimValue(claim)
}

/** Continuous watts that a unit promises; undefined: none. */
export const ratedPower = (unit: Pick<Unit, 'claims'>): number | undefined =>
  claimedValue(unit, 'continuous power')

/** A unit with its store inside: it has no posts, no path and no terminals that a meter could reach. */
export const isStation = ({ kind }: Pick<Unit, 'kind'>): boolean => kind === 'power station'

/** The rating as a figure, to hold others against; where the label promises none, that. */
export const ratedFigure = (unit: Pick<Unit, 'claims'>): Derived =>
  stated('P_rated', 'W', ratedPower(unit), 'No continuous power is promised on the label.')
