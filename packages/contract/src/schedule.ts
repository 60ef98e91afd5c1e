import * as z from 'zod/mini'
import { Values } from './evidence'
import { Id, instant, matching, number, oneOf, positive, text, whole, words } from './shared'

/** The stages of a day at the bench, in the order of work (docs/method/schedule.md). */
export const blockKinds = [
  'look over',
  'rig',
  'make safe',
  'no load',
  'ladder',
  'limits',
  'motors',
  'motors, bank low',
  'rated hold',
  'run-down',
  'soak',
  'charge',
  'ports',
  'checks',
  'findings',
] as const
export const BlockKind = oneOf('Block', blockKinds)
export type BlockKind = z.infer<typeof BlockKind>

/** A stretch of the schedule that the tester asked for. */
export const Block = z.object({
  id: Id,
  kind: BlockKind,
  /** The tester's own length; absent: what its content takes. */
  minutes: z.optional(positive('Minutes', 4320)),
  /** Its place in the order is the tester's: no rule moves it. */
  fixed: z.boolean(),
  /** Not before this moment. */
  startsAt: z.optional(instant('Starts at')),
  /** Output watts of a hold or a run-down; absent: rated. Of a soak those of the port, of a charge those of its charger. */
  watts: z.optional(positive('Watts', 1e6)),
})
export type Block = z.infer<typeof Block>

const clock = (what: string) => matching(/^([01]\d|2[0-3]):[0-5]\d$/, `${what}: a time of day like 17:00.`)

const isTimeZone = (name: string): boolean => {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).format() !== ''
  } catch {
    return false
  }
}

/** The day as it is meant to go (docs/method/schedule.md). */
export const Schedule = z.object({
  startsAt: instant('Starts'),
  /** IANA name; the hours below are in it. */
  timeZone: words('Time zone', 60).check(
    z.refine(isTimeZone, 'Time zone: a name like Europe/London or UTC.'),
  ),
  opens: clock('Bench opens'),
  closes: clock('Bench closes'),
  /** State of charge of the bank at the start, 0 to 1. */
  charge: number('State of charge, share', 0, 1),
  /** A that a charger gives between blocks; absent: the rig's own, if it has one. */
  charger: z.optional(positive('Charger, A', 1e4)),
  /** s for the unit to settle, to stay, and to read the meters, at each step. */
  settle: number('Settling, s', 0, 86_400),
  dwell: number('Dwell, s', 0, 86_400),
  reading: number('Reading, s', 0, 86_400),
  /** Minutes between the check-ins of long blocks. */
  checkEvery: positive('Check-in every, min', 1440),
  blocks: z.array(Block).check(
    z.maxLength(60, 'Blocks: 60 at most.'),
    z.refine(
      (blocks) => new Set(blocks.map(({ id }) => id)).size === blocks.length,
      'Blocks: one stands there twice.',
    ),
  ),
})
export type Schedule = z.infer<typeof Schedule>

/** Stretches that the schedule itself puts before a block. */
const placedParts = ['recharge', 'cool-down', 'draw down', 'overnight'] as const
export const PlacedPart = oneOf('Part', placedParts)
export type PlacedPart = z.infer<typeof PlacedPart>

const runActions = ['start', 'pause', 'resume', 'finish', 'skip', 'check-in'] as const

/** What really happened to a block, and when. */
export const RunEvent = z.object({
  block: Id,
  part: z.optional(PlacedPart),
  action: oneOf('Action', runActions),
  /** A check-in: its number, counted from 1, and when it was due; the entry's own time is when it was made. */
  check: z.optional(whole('Check-in', 1, 10_000)),
  due: z.optional(instant('Due')),
  values: z.optional(Values),
  note: text('Note', 1000),
})
export type RunEvent = z.infer<typeof RunEvent>
