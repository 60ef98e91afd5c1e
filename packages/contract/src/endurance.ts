import * as z from 'zod/mini'
import { fanStates } from './ladder'
import { Id, number, oneOf, positive, text } from './shared'

const level = (what: string) => number(what, 0, 150)

/** How loud a unit is, with loads that make no noise of their own (docs/method/endurance.md). */
export const NoiseReading = z.object({
  /** dB(A) beside the unit, and with it switched off. */
  level: level('Level, dB(A)'),
  background: z.optional(level('Background, dB(A)')),
  /** m from the unit. */
  distance: positive('Distance, m', 100),
  load: text('Load', 200),
  watts: z.optional(number('Load, W', 0, 1e6)),
  /** Whether the load itself is silent; absent: not said. */
  silent: z.optional(z.boolean()),
  fan: z.optional(oneOf('Fan', fanStates)),
  meter: z.optional(Id),
  note: text('Note', 1000),
})
export type NoiseReading = z.infer<typeof NoiseReading>
