import * as z from 'zod/mini'
import { number, oneOf, positive, text, whole, words } from './shared'

export const startOutcomes = [
  'started',
  'started late',
  'stalled',
  'tripped',
  'tripped and recovered',
] as const
export type StartOutcome = (typeof startOutcomes)[number]

/** How the extremes of a start were caught. */
export const caughtBy = ['min/max', 'inrush clamp', 'watched'] as const

/** What opened or went out, as it was found afterwards. */
export const openedBy = ['nothing', 'fuse', 'breaker', 'BMS', 'the unit'] as const

export const legs = ['L1', 'L2', 'both'] as const
const Leg = oneOf('Leg', legs)

/** One attempt at starting a motor: by eye, from a meter's extremes, or with the captures that name it. */
export const MotorAttempt = z
  .object({
    number: whole('Attempt', 1, 999),
    load: words('Motor', 200),
    /** The machine's own state: tank empty, blade free, compressor warm. */
    state: text('Its state', 200),
    leg: z.optional(Leg),
    /** W already carried when it was started. */
    baseLoad: z.optional(number('Base load, W', 0, 1e6)),
    /** Factor by which a soft starter or start assist divides the inrush. */
    assist: z.optional(number('Soft starter divides by', 1, 20)),
    bankBefore: z.optional(positive('Bank volts before', 2000)),
    caught: z.optional(oneOf('Caught by', caughtBy)),
    lowestOutput: z.optional(number('Lowest V at C', 0, 2000)),
    /** Highest A: RMS of a clamp's inrush mode, or a meter's maximum. */
    peakCurrent: z.optional(positive('Peak A', 10_000)),
    runningCurrent: z.optional(positive('Running A', 10_000)),
    runningWatts: z.optional(positive('Running W', 1e6)),
    seenWatts: z.optional(positive('Highest W seen', 1e6)),
    lowestInput: z.optional(number('Lowest V at B', 0, 2000)),
    /** s until it ran, or until it was over. */
    lasted: z.optional(positive('Until it ran or gave up, s', 3600)),
    opened: z.optional(oneOf('What opened', openedBy)),
    outcome: oneOf('Outcome', startOutcomes),
    note: text('Note', 1000),
  })
  .check(
    z.refine(
      ({ peakCurrent, runningCurrent }) =>
        peakCurrent === undefined || runningCurrent === undefined || peakCurrent >= runningCurrent,
      {
        path: ['peakCurrent'],
        message: 'Peak A: it cannot be under the running current; check which is which.',
      },
    ),
  )
export type MotorAttempt = z.infer<typeof MotorAttempt>
