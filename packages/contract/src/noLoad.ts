import * as z from 'zod/mini'
import { Display, Temperatures, Values } from './evidence'
import { oneOf, text } from './shared'

/** The output on, and nothing connected. */
export const NoLoadReading = z.object({
  values: Values,
  display: z.optional(Display),
  temperatures: z.optional(Temperatures),
  mode: oneOf('Mode', ['on', 'search'] as const),
  /** Seen and heard. */
  observed: text('Seen and heard', 300),
  note: text('Note', 1000),
})
export type NoLoadReading = z.infer<typeof NoLoadReading>
