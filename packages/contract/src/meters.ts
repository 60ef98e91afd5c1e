import * as z from 'zod/mini'
import { Id, instant, number, oneOf, positive, text, whole, words } from './shared'

export const readables = [
  'DC voltage',
  'AC voltage',
  'DC current',
  'AC current',
  'DC power',
  'charge',
  'energy',
  'active power',
  'power factor',
  'frequency',
  'THD',
  'temperature',
  'sound level',
] as const
export const Readable = oneOf('What it reads', readables)
export type Readable = z.infer<typeof Readable>

export const responses = ['true RMS', 'average', 'peak', 'infrared'] as const

/** One quantity and range of a meter, with the specification it is sold with. */
export const MeterRange = z.object({
  id: Id,
  reads: Readable,
  /** Full scale, in the SI unit of what it reads (THD and power factor as fractions of 1). */
  upTo: positive('Full scale', 1e7),
  /** ±(percent of reading + counts × count). */
  percent: number('Accuracy, %', 0, 100),
  counts: number('Accuracy, counts', 0, 10_000),
  /** Size of one count, same unit as full scale. */
  count: positive('Size of a count', 1e6),
  /** How it responds to a wave, where it reads AC; infrared, where it reads temperature without touching. */
  response: z.optional(oneOf('Response', responses)),
  bandwidth: z.optional(positive('Bandwidth, Hz', 1e10)),
  /** Whether a stepped wave harms or misleads it. */
  standsSteppedWave: z.boolean(),
})
export type MeterRange = z.infer<typeof MeterRange>

export const Meter = z.object({
  name: words('Name'),
  /** Readings a second. */
  updateRate: z.optional(positive('Update rate', 1e7)),
  needsZeroing: z.boolean(),
  /** Its specification is what is typical of its kind, taken wide, not its own manual's. */
  typical: z.optional(z.boolean()),
  /** When it was last adjusted, as the tester writes it: before and after it has another error. */
  adjusted: text('Last adjusted', 60),
  note: text('Note'),
  ranges: z
    .array(MeterRange)
    .check(
      z.minLength(1, 'Ranges: a meter reads at least one quantity.'),
      z.maxLength(40, 'Ranges: 40 at most.'),
    ),
})
export type Meter = z.infer<typeof Meter>

export const StoredMeter = z.extend(Meter, {
  id: Id,
  version: whole('Version', 1, 1e9),
  savedAt: instant('Saved'),
})
export type StoredMeter = z.infer<typeof StoredMeter>
