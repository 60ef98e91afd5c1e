import * as z from 'zod/mini'
import { Display, Temperatures, Values } from './evidence'
import { oneOf, positive, text } from './shared'

/** The output on, and nothing connected. */
export const NoLoadReading = z.object({
  values: Values,
  display: z.optional(Display),
  temperatures: z.optional(Temperatures),
  /** How long a counter of Ah or Wh ran for it, s. */
  held: z.optional(positive('Counted for', 1e6)),
  mode: oneOf('Mode', ['on', 'search'] as const),
  /** Seen and heard. */
  observed: text('Seen and heard', 300),
  note: text('Note', 1000),
})
export type NoLoadReading = z.infer<typeof NoLoadReading>
