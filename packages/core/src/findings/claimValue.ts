import type { Claim, ClaimUnit } from '@even-watt/contract'

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
  Wh: 1,
  Ah: 1,
}

/** The claimed value in SI (percentages as fractions). */
export const claimValue = (claim: Claim): number => claim.value * factors[claim.unit]

const plain = (value: number) => String(Number(value.toPrecision(6)))

/** "1400 W for 10 s", "±3 %", "≤ 11 W". */
export function sayClaim(claim: Claim): string {
  const sign = { 'at least': '', 'at most': '≤ ', 'within ±': '±' }[claim.comparator]
  const time = claim.duration === undefined ? '' : ` for ${sayDuration(claim.duration)}`
  const load = claim.load === undefined ? '' : ` at ${plain(claim.load)} W`
  return `${sign}${plain(claim.value)} ${claim.unit}${time}${load}`
}

/** "2 s", "4 min 20 s", "10 min", "2 h". */
export function sayDuration(seconds: number): string {
  const whole = Math.round(seconds)
  if (seconds < 60) return `${plain(seconds)} s`
  const parts = [
    [Math.floor(whole / 3600), 'h'],
    [Math.floor((whole % 3600) / 60), 'min'],
    [whole % 60, 's'],
  ] as const
  return parts
    .filter(([amount]) => amount > 0)
    .map(([amount, unit]) => `${amount} ${unit}`)
    .join(' ')
}
