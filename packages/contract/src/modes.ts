import * as z from 'zod/mini'
import { Charge } from './logs'
import { seenBy } from './limits'
import { Values } from './evidence'
import { number, oneOf, positive, text, whole } from './shared'

const note = { note: text('Note', 1000) }

/** What a unit may be switched to; each draws something of its own. */
export const modeNames = ['on', 'search', 'pass-through', 'bypass', 'ports only', 'off'] as const
export const ModeName = oneOf('Mode', modeNames)
export type ModeName = z.infer<typeof ModeName>

/** What a mode draws: from watts, from what the store lost, or from what a refill took (docs/method/modes.md). */
const Draw = z.object({
  test: z.literal('draw'),
  mode: ModeName,
  /** Watts at B, or into the charge input. */
  values: Values,
  /** Cycles of a search that the mean was taken over. */
  cycles: z.optional(whole('Cycles', 1, 100_000)),
  /** h that it stood, and the gauge before and afterwards, or the Wh that filled it again. */
  hours: z.optional(positive('Hours', 10_000)),
  chargeBefore: z.optional(Charge),
  chargeAfter: z.optional(Charge),
  refilled: z.optional(positive('Refilled, Wh', 1e6)),
  ...note,
})

/** One small load tried in search mode: does it wake? */
const Wake = z.object({
  test: z.literal('wake'),
  watts: positive('Load, W', 1e4),
  woke: z.boolean(),
  ...note,
})

export const transferWays = ['grid to battery', 'battery to grid'] as const

/** A changeover between the grid and the battery. */
const Transfer = z.object({
  test: z.literal('transfer'),
  way: oneOf('Which way', transferWays),
  /** ms without its sine. */
  gap: z.optional(positive('Gap, ms', 60_000)),
  seen: oneOf('Timed by', seenBy),
  watts: z.optional(number('Load, W', 0, 1e6)),
  /** What other equipment did. */
  rodeThrough: z.optional(z.boolean()),
  equipment: text('What ran on it', 200),
  ...note,
})

/** The outlet while the grid feeds it. */
const PassThrough = z.object({
  test: z.literal('pass-through'),
  gridVolts: z.optional(number('Grid, V', 0, 2000)),
  gridWatts: z.optional(number('From the grid, W', 0, 1e6)),
  outletVolts: z.optional(number('Outlet, V', 0, 2000)),
  outletWatts: z.optional(number('Outlet, W', 0, 1e6)),
  ...note,
})

export const ModeReading = z.discriminatedUnion(
  'test',
  [Draw, Wake, Transfer, PassThrough],
  'Test of a mode: one of draw, wake, transfer, pass-through.',
)
export type ModeReading = z.infer<typeof ModeReading>
export type ModeTest = ModeReading['test']
export type ModeOf<T extends ModeTest> = Extract<ModeReading, { test: T }>
