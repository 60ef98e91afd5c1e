import type { Meter } from '@even-watt/contract'

/** Readings a second of a meter whose rate is not known: what a hand-held one does. */
const usualRate = 2

/** Readings needed within the time for a power to be said to have been carried for it. */
const needed = 2

/** Whether a meter reads too seldom for what lasts so long, s. */
export const isSlow = (meter: Pick<Meter, 'updateRate'> | undefined, seconds: number): boolean =>
  seconds * (meter?.updateRate ?? usualRate) < needed
