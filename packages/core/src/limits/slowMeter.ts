import type { Asked } from '../court'
import { isSlow } from '../meters'
import type { Attempt } from './attempt'

/** Whether the meters that read the power of an attempt are too slow for a time, s; of a step held longer none is. */
export function tooSlow(
  { step, held, became }: Attempt,
  seconds: number,
  { analysis, claim }: Asked,
): boolean {
  if (became !== 'tripped' && (held ?? Infinity) > seconds) return false
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
