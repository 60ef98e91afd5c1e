import * as z from 'zod/mini'
import { Display, Values } from './evidence'
import { oneOf, text } from './shared'

/** The output on, and nothing connected. */
export const NoLoadReading = z.object({
  values: Values,
  display: z.optional(Display),
  mode: oneOf('Mode', ['on', 'search'] as const),
  note: text('Note', 1000),
})
export type NoLoadReading = z.infer<typeof NoLoadReading>
