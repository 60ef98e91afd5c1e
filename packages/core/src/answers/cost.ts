import type { Analysis } from '../trials'
import { ratedPower } from '../units'
import type { Open } from './answer'

/** Minutes until a load stands and is read, its meters looked at and noted. */
const settles = 2
/** Share of the input that reaches the outlet, where nothing is known of it. */
const usualEfficiency = 0.85

/** A look with nothing connected. */
export const aLook = { readings: 1, minutes: 3, wattHours: 1 } as const

/** A load of so many watts held for so long: one reading, and what it takes out of the bank. */
export function aStep(
  watts: number | undefined,
  seconds = 0,
): Pick<Open, 'readings' | 'minutes' | 'wattHours'> {
  const minutes = Math.max(settles, seconds / 60)
  return { readings: 1, minutes, wattHours: ((watts ?? 0) * minutes) / 60 / usualEfficiency }
}

/** W of the heaviest load that was carried, else of the rating. */
export const heaviestWatts = ({ ladder, record }: Analysis): number | undefined => {
  const carried = ladder.steps.flatMap(({ carried, P_C }) => (carried && 'x' in P_C ? [P_C.x.value] : []))
  return carried.length ? Math.max(...carried) : ratedPower(record.revision.unit)
}
