import * as z from 'zod/mini'
import { Checked } from './checklists'
import { CameOut, Expectation } from './expectations'
import { ChargingReading } from './charging'
import { NoiseReading } from './endurance'
import { AttachedFile } from './files'
import { LadderReading } from './ladder'
import { LimitReading, testsOfLimits } from './limits'
import { BegunLog, CheckIn, LogFile } from './logs'
import { ModeReading, testsOfModes } from './modes'
import { MotorAttempt } from './motors'
import { OutletReading, testsOfOutlets } from './outlets'
import { Photograph } from './photographs'
import { PortReading, testsOfPorts } from './ports'
import { NoLoadReading } from './noLoad'
import { OddityNumber } from './oddities'
import { Prediction, Survey } from './rigs'
import { Acknowledged } from './safety'
import { RunEvent } from './schedule'
import { Id, instant, number, text, whole, words } from './shared'
import { LoadTest } from './supply'
import { Opened, Remark } from './units'
import { Capture, CaptureFigures } from './captures'

/** Every kind of entry and what it carries. A new kind is one line here; all else is derived. */
const entryKinds = {
  'no load': NoLoadReading,
  ladder: LadderReading,
  limit: LimitReading,
  motors: MotorAttempt,
  log: BegunLog,
  'check-in': CheckIn,
  'log file': LogFile,
  noise: NoiseReading,
  outlet: OutletReading,
  port: PortReading,
  charging: ChargingReading,
  mode: ModeReading,
  'load test': LoadTest,
  survey: Survey,
  prediction: Prediction,
  'make safe': Acknowledged,
  run: RunEvent,
  file: AttachedFile,
  photograph: Photograph,
  opened: Opened,
  remark: Remark,
  checked: Checked,
  capture: Capture,
  expectation: Expectation,
  'came out': CameOut,
}
type Readings = typeof entryKinds

/** Kinds whose tests are declared: form, row and schema follow from it. */
export const declaredTests = {
  limit: testsOfLimits,
  mode: testsOfModes,
  outlet: testsOfOutlets,
  port: testsOfPorts,
}
export type ReadingKind = keyof Readings

const entryBase = {
  id: Id,
  revision: whole('Revision', 1, 1000),
  at: instant('Taken at'),
  /** Initials of who read it; absent: who tests. */
  by: z.optional(words('Who read it', 20)),
  /** The page that captured it and the seconds since that page was opened: a clock that nobody sets. */
  clock: z.optional(z.object({ page: Id, seconds: number('Seconds since the page was opened', 0, 1e9) })),
  /** The entry this one corrects, with why. */
  replaces: z.optional(z.object({ entry: Id, why: words('Why it is corrected', 300) })),
}

type ReadingEntry = {
  [K in ReadingKind]: z.ZodMiniObject<
    typeof entryBase & { kind: z.ZodMiniLiteral<K>; reading: Readings[K] },
    z.core.$strip
  >
}[ReadingKind]

const readings = Object.entries(entryKinds).map(([kind, reading]) =>
  z.object({ ...entryBase, kind: z.literal(kind), reading }),
) as unknown as [ReadingEntry, ...ReadingEntry[]]

/** Entries that speak of another entry. */
const TakeBack = z.object({
  ...entryBase,
  kind: z.literal('take back'),
  entry: Id,
  why: words('Why it is taken back', 300),
})
const Keep = z.object({
  ...entryBase,
  kind: z.literal('keep'),
  entry: Id,
  oddity: OddityNumber,
  why: words('Why it is kept', 300),
})

/** Readings that are not trusted: one of them, all of a rig up to then, or all of one meter. They stay, and decide nothing. */
const Doubt = z.object({
  ...entryBase,
  kind: z.literal('doubt'),
  of: z.discriminatedUnion(
    'what',
    [
      z.object({ what: z.literal('reading'), entry: Id }),
      z.object({ what: z.literal('rig') }),
      z.object({ what: z.literal('meter'), meter: Id }),
    ],
    'What is doubted: one of reading, rig, meter.',
  ),
  why: words('Why it is doubted', 300),
  /** What checked it: "thermocouple says 48 °C", "lug found loose". */
  check: text('What checked it', 300),
})

/**
 * What an installation made of the bytes of a capture itself, where that is not what came with it: it counts in its place. No
 * page writes one; the server looks again at whatever says so.
 */
const WorkedAgain = z.object({
  ...entryBase,
  kind: z.literal('worked again'),
  entry: Id,
  version: whole('Version of the analysis', 1, 10_000),
  found: z.union([
    z.object({ figures: CaptureFigures }),
    z.object({ fault: words('Why it cannot be read', 300) }),
  ]),
})

/** Everything captured at the bench, in an append-only record. */
export const Entry = z.discriminatedUnion(
  'kind',
  [...readings, TakeBack, Keep, Doubt, WorkedAgain],
  `Kind of entry: one of ${[...Object.keys(entryKinds), 'take back', 'keep', 'doubt', 'worked again'].join(', ')}.`,
)
export type Entry = z.infer<typeof Entry>
type EntryKind = Entry['kind']
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>

/** Whether an entry carries a reading, rather than speaking of another entry. */
export const isReading = (entry: Entry): entry is EntryOf<ReadingKind> => entry.kind in entryKinds

/** Entries of one trial, at most: what a page still opens. Logs of thousands of lines are files. */
export const mostEntries = 20_000

export const Entries = z
  .array(Entry)
  .check(z.minLength(1, 'Entries: none were sent.'), z.maxLength(5000, 'Entries: 5000 at most at once.'))
