import * as z from 'zod/mini'
import { number, oneOf, positive, text, whole, words } from './shared'

export const startOutcomes = [
  'started',
  'started late',
  'stalled',
  'tripped',
  'tripped and recovered',
] as const

/** One attempt at starting a motor, typed in from a meter's min/max or by eye. */
export const MotorAttempt = z.object({
  number: whole('Attempt', 1, 999),
  load: words('Motor', 200),
  /** The machine's own state: tank empty, blade free, compressor warm. */
  state: text('Its state', 200),
  /** W already carried when it was started. */
  baseLoad: z.optional(number('Base load, W', 0, 1e6)),
  bankBefore: z.optional(positive('Bank volts before', 2000)),
  lowestOutput: z.optional(number('Lowest V at C', 0, 2000)),
  peakCurrent: z.optional(positive('Peak A', 10_000)),
  outcome: oneOf('Outcome', startOutcomes),
  note: text('Note', 1000),
})
export type MotorAttempt = z.infer<typeof MotorAttempt>
