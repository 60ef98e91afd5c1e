import * as z from 'zod/mini'
import { Display, Temperatures, Values } from './evidence'
import { LoadKind, LoadUse } from './loads'
import { Id, number, oneOf, positive, text, words } from './shared'

export const fanStates = ['off', 'on', 'speed'] as const
export const alarms = ['none', 'low voltage', 'overload', 'heat', 'other'] as const
export const ends = ['carried', 'alarmed', 'tripped', 'stopped by hand'] as const

/** One reading of one step of the ladder. Several readings may share a step. */
export const LadderReading = z.object({
  step: Id,
  /** Where the row stands; rows are kept in the order they were taken. */
  position: number('Position', 0, 1e6),
  load: words('Load', 200),
  kind: LoadKind,
  /** The settings of the load shelf that were on, where they were chosen from it. */
  uses: z.optional(z.array(LoadUse).check(z.maxLength(60, 'Loads of a step: 60 at most.'))),
  /** Output watts that the plan led one to expect. */
  expected: z.optional(number('Expected watts', 0, 1e6)),
  values: Values,
  display: z.optional(Display),
  temperatures: z.optional(Temperatures),
  fan: z.optional(oneOf('Fan', fanStates)),
  alarm: z.optional(oneOf('Alarm', alarms)),
  /** What became of the step. */
  end: z.optional(oneOf('How it ended', ends)),
  /** The input volts were lowered on purpose, so they say nothing of the bank. */
  lowered: z.optional(z.boolean()),
  /** How long the load was carried, s. */
  held: z.optional(positive('Held for', 1e6)),
  /** Seen and heard: fan, hum, flicker, smell. It supports a sentence, never a figure. */
  observed: text('Seen and heard', 300),
  note: text('Note', 1000),
})
export type LadderReading = z.infer<typeof LadderReading>
