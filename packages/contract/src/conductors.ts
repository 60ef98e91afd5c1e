import * as z from 'zod/mini'
import { number, oneOf, positive, whole } from './shared'

export const materials = ['copper', 'aluminium', 'copper-clad aluminium'] as const

/** A gauge stays as it was named: AWG is never rounded to a metric size. 1/0 is 0, 4/0 is −3. */
export const Gauge = z.union([
  z.object({ unit: z.literal('mm²'), area: positive('Area, mm²', 2000) }),
  z.object({ unit: z.literal('AWG'), number: whole('AWG', -3, 40) }),
])
export type Gauge = z.infer<typeof Gauge>

/** One conductor, one way. */
export const Conductor = z.object({
  gauge: Gauge,
  /** Metres, one way. */
  length: positive('Length, m', 1000),
  /** Parallel runs, all alike. */
  runs: whole('Runs', 1, 20),
  material: oneOf('Material', materials),
  strandingFactor: number('Stranding factor', 1, 2),
  /** Its own lugs, both ends together, Ω; matters where unlike runs lie in parallel. */
  ends: z.optional(number('Its ends, Ω', 0, 1)),
})
export type Conductor = z.infer<typeof Conductor>
