import * as z from 'zod/mini'
import { number, oneOf, positive, text, words } from './shared'

/** What ended a loading: it may be neither the unit nor the load. */
export const gaveUpBy = [
  'carried',
  'overload',
  'heat',
  'low input',
  'BMS',
  'fuse',
  'breaker',
  'loads ended',
  'stopped by hand',
  'not known',
] as const

export const comebacks = [
  'by itself',
  'by switching off and on',
  'by its reset',
  'not at all',
  'not tried',
] as const

/** Schools of overloading: raised until it gives up, a tier held for a time, a ramp. */
export const overloadWays = ['raised', 'timed tier', 'ramp'] as const

const note = { note: text('Note', 1000) }

const Overload = z.object({
  test: z.literal('overload'),
  how: oneOf('How it was loaded', overloadWays),
  load: words('Load', 200),
  /** Of a split phase: the leg that was loaded; absent: both. */
  leg: z.optional(oneOf('Leg', ['L1', 'L2'] as const)),
  /** W at the outlet when it ended. */
  watts: positive('W at the outlet', 1e6),
  /** s at these watts until it ended. */
  lasted: z.optional(positive('For how long, s', 1e6)),
  ended: oneOf('What ended it', gaveUpBy),
  /** W at which it warned, before. */
  alarmAt: z.optional(positive('It warned at, W', 1e6)),
  volts: z.optional(number('V at C', 0, 2000)),
  inputVolts: z.optional(positive('V at B', 2000)),
  comeback: z.optional(oneOf('How it came back', comebacks)),
  comebackAfter: z.optional(positive('Back after, s', 1e6)),
  /** V at the outlet with the same small load before and afterwards. */
  baseBefore: z.optional(positive('Base step before, V', 2000)),
  baseAfter: z.optional(positive('Base step afterwards, V', 2000)),
  ...note,
})

export const thresholds = ['alarm', 'cutoff', 'reconnect'] as const

const Threshold = z.object({
  test: z.literal('threshold'),
  which: oneOf('Which', thresholds),
  V_B: positive('V at B', 2000),
  /** W at the outlet while the input was lowered. */
  watts: z.optional(number('Load, W', 0, 1e6)),
  ...note,
})

export const seenBy = ['watch', 'capture', 'by eye'] as const

const StartUp = z.object({
  test: z.literal('start-up'),
  /** What was connected when it was switched on; absent: nothing. */
  load: text('Load connected', 200),
  watts: z.optional(number('Load connected, W', 0, 1e6)),
  outcome: oneOf('Outcome', ['started', 'started after tries', 'did not start'] as const),
  seen: oneOf('Timed by', seenBy),
  /** s from the command to 90 % of its volts, and from 10 to 90 %. */
  startUp: z.optional(positive('Start-up, s', 3600)),
  softStart: z.optional(positive('Soft start, s', 3600)),
  ...note,
})

export const flickers = ['not looked at', 'steady', 'flickers'] as const

const Dynamic = z.object({
  test: z.literal('dynamic'),
  from: number('From, W', 0, 1e6),
  to: number('To, W', 0, 1e6),
  /** V RMS: the lowest and the highest after the step. */
  lowest: z.optional(number('Lowest V', 0, 2000)),
  highest: z.optional(number('Highest V', 0, 2000)),
  back: z.optional(positive('Back after, s', 3600)),
  /** Swing of the volts with a load that pulsates, % of them. */
  pulses: z.optional(number('Swing with a load that pulsates, %', 0, 100)),
  hunts: z.optional(z.boolean()),
  /** Output gone for over half a cycle after a load was released. */
  blanks: z.optional(z.boolean()),
  lamps: oneOf('Lamps', flickers),
  ...note,
})

const Sweep = z.object({
  test: z.literal('input sweep'),
  load: words('Load', 200),
  V_B: positive('V at B', 2000),
  V_C: number('V at C', 0, 2000),
  ...note,
})

export const functionResults = ['passed', 'failed', 'not tried'] as const

const FunctionCheck = z.object({
  test: z.literal('function'),
  what: words('Check', 120),
  result: oneOf('Result', functionResults),
  note: text('In words', 1000),
})

/** One test of where a unit gives up, or of what else it does. */
export const LimitReading = z.discriminatedUnion(
  'test',
  [Overload, Threshold, StartUp, Dynamic, Sweep, FunctionCheck],
  'Test: one of overload, threshold, start-up, dynamic, input sweep, function.',
)
export type LimitReading = z.infer<typeof LimitReading>
export type LimitTest = LimitReading['test']
export type LimitOf<T extends LimitTest> = Extract<LimitReading, { test: T }>
