import { usualEfficiency } from '../facts'
import { halfWidth, rangeFor } from '../meters'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'
import type { Open } from './answer'

/** Minutes until a load stands and is read, its meters looked at and noted. */
const settles = 2

/** A look with nothing connected. */
export const aLook = { readings: 1, minutes: 3, wattHours: 1, load: { watts: 0, seconds: 0 } } as const

/** A load of so many watts held for so long: one reading, and what it takes out of the bank. */
export function aStep(
  watts: number | undefined,
  seconds = 0,
): Pick<Open, 'readings' | 'minutes' | 'wattHours' | 'load'> {
  const minutes = Math.max(settles, seconds / 60)
  return {
    readings: 1,
    minutes,
    wattHours: ((watts ?? 0) * minutes) / 60 / usualEfficiency,
    ...(watts ? { load: { watts, seconds } } : {}),
  }
}

/** W at which a meter on the outlet shows that so many were carried, its own error over them. */
export function toShow(watts: number, { record }: Analysis): number {
  const { rig, meters } = record.revision
  const id = rig.assignments.find(({ quantity }) => quantity === 'P_C')?.meter
  const range = rangeFor(meters.find((meter) => meter.id === id)?.ranges ?? [], 'active power', watts)
  const most = mostOver * watts
  return watts + Math.min(most, range ? halfWidth(range, watts) : most)
}

/** More than so much over a promise is not asked of a unit. */
const mostOver = 0.02

/** W of a load far from the heaviest that was carried: a fifth of the rating, or all of it. */
export function farFromHeaviest(analysis: Analysis): number | undefined {
  const [heaviest, rating] = [heaviestWatts(analysis), ratedPower(analysis.record.revision.unit)]
  if (heaviest === undefined) return rating
  const whole = rating ?? heaviest
  return heaviest >= whole / 2 ? whole / 5 : whole
}

/** W of the heaviest load that was carried, else of the rating. */
export const heaviestWatts = ({ ladder, record }: Analysis): number | undefined => {
  const carried = ladder.steps.flatMap(({ carried, P_C }) => (carried && 'x' in P_C ? [P_C.x.value] : []))
  return carried.length ? Math.max(...carried) : ratedPower(record.revision.unit)
}
