import type { Meter } from '@even-watt/contract'
import type { Evidence } from '../findings'
import { isCarried } from '../ladder'
import type { Attempt } from './attempt'

/** Readings a second of a meter whose rate is not known: what a hand-held one does. */
const usualRate = 2

/** Readings needed within the time for a power to be said to have been carried for it. */
const needed = 2

/** Whether a meter reads too seldom for what lasts so long, s. */
export const isSlow = (meter: Pick<Meter, 'updateRate'> | undefined, seconds: number): boolean =>
  seconds * (meter?.updateRate ?? usualRate) < needed

/** Whether the meters that read the power of an attempt are too slow for a time, s; of a step held longer none is. */
export function tooSlow({ step, held }: Attempt, seconds: number, { analysis, claim }: Evidence): boolean {
  if (step.step.readings.some((entry) => isCarried(entry)) && (held ?? Infinity) > seconds) return false
  const read = claim.unit === 'VA' ? ['V_C', 'I_C', 'P_C'] : ['P_C', 'I_C']
  const used = step.step.readings.flatMap(({ reading }) =>
    reading.values.filter(({ quantity }) => read.includes(quantity)).map(({ meter }) => meter),
  )
  return used.some((id) =>
    isSlow(
      analysis.record.revision.meters.find((candidate) => candidate.id === id),
      Math.min(seconds, held ?? seconds),
    ),
  )
}
