import * as z from 'zod/mini'
import { Display, Grade, Quantity, Temperatures, Values } from './evidence'
import { AttachedFile, Sha256 } from './files'
import { alarms, fanStates } from './ladder'
import { LoadKind, LoadUse } from './loads'
import { Id, instant, number, oneOf, positive, text, whole, words } from './shared'

/** Long runs at the bench whose readings stand over time (docs/method/logs.md). */
const logKinds = ['rated hold', 'tier hold', 'run-down', 'soak', 'charge', 'idle'] as const
export const LogKind = oneOf('What is logged', logKinds)
export type LogKind = z.infer<typeof LogKind>

/** What “full” meant before a run-down. */
export const fullMeanings = [
  'charger said full',
  'rested after a full charge',
  'its gauge said 100 %',
  'not full',
  'not known',
] as const

export const chargeSources = ['wall', 'vehicle', 'solar', 'several together'] as const

/** Why a log ended. */
export const logEnds = [
  'low voltage',
  'heat',
  'BMS',
  'one battery first',
  'overload',
  'full',
  'time was up',
  'by hand',
  'not known',
] as const
export type LogEnd = (typeof logEnds)[number]

/** What is seen at a moment of a log. */
export const logEvents = ['fan on', 'fan off', 'alarm', 'derates', 'stopped', 'resumed', 'other'] as const

/** A share of charge that is shown, 0 to 1. */
export const Charge = number('State of charge, share', 0, 1, 'a share from 0 to 1 (0 to 100 %)')

/** A log begins: its own time is the beginning. */
export const BegunLog = z.object({
  what: LogKind,
  load: text('Load', 200),
  /** What kind of load it is: without a wattmeter volts times amps are watts of elements and filaments only. */
  kind: z.optional(LoadKind),
  uses: z.optional(z.array(LoadUse).check(z.maxLength(60, 'Loads: 60 at most.'))),
  /** W that are expected of the load, or taken from a charger. */
  watts: z.optional(positive('Expected watts', 1e6)),
  /** s it is meant to last; absent: to its end. */
  planned: z.optional(positive('Meant to last, s', 1e7)),
  full: z.optional(oneOf('How it was known to be full', fullMeanings)),
  charge: z.optional(Charge),
  /** Of a charge: what feeds it. Of a soak: the port. Of an idle: the mode. */
  source: z.optional(oneOf('Charged by', chargeSources)),
  port: text('Port', 60),
  mode: text('Mode', 60),
  /** The block of the schedule that it works. */
  block: z.optional(Id),
  note: text('Note', 1000),
})
export type BegunLog = z.infer<typeof BegunLog>

/** One battery of a bank as it stood at a check-in. */
const BatteryRead = z.object({
  battery: Id,
  volts: z.optional(number('Volts of a battery', -100, 1000)),
  amps: z.optional(number('Amps of a battery', -1e4, 1e4)),
  charge: z.optional(Charge),
})

/** What was read at a moment of a log, on time or late; with `ended` the last of it. */
export const CheckIn = z.object({
  log: Id,
  /** When it was read, where it is typed later. */
  readAt: z.optional(instant('Read at')),
  values: Values,
  batteries: z.optional(z.array(BatteryRead).check(z.maxLength(64, 'Batteries: 64 at most.'))),
  /** What its gauge showed. */
  charge: z.optional(Charge),
  display: z.optional(Display),
  temperatures: z.optional(Temperatures),
  fan: z.optional(oneOf('Fan', fanStates)),
  alarm: z.optional(oneOf('Alarm', alarms)),
  event: z.optional(oneOf('Event', logEvents)),
  ended: z.optional(oneOf('Why it ended', logEnds)),
  /** W/m² on the panels. */
  irradiance: z.optional(number('Irradiance, W/m²', 0, 2000)),
  observed: text('Seen and heard', 300),
  note: text('Note', 1000),
})
export type CheckIn = z.infer<typeof CheckIn>

/** Rows of a log that is brought in, at most. */
const mostRows = 1_200_000
/** Bytes of a table that a log is read from, at most; it is read as it streams. */
const mostLogFile = 512 * 2 ** 20

/** What a column of a log holds beside the quantities of the taps. */
const logExtras = ['T_room', 'charge', 'V_battery', 'I_battery', 'irradiance'] as const
export const logQuantities = [...Quantity.options, ...logExtras] as const
const LogQuantity = oneOf('What a column holds', logQuantities)
export type LogQuantity = z.infer<typeof LogQuantity>

const finite = (what: string) => number(what, -1e15, 1e15)

/** Points that a log's course holds, at most. */
const mostLogCourse = 480

/** A column of a log: what it holds, what follows from all of its rows, and its course in a few hundred points. */
export const LogColumn = z.object({
  heading: text('Heading', 120),
  /** Where it stands in the stored rows, from 0. */
  column: whole('Column', 0, 63),
  quantity: LogQuantity,
  /** SI for one of its own units: 1000 for kWh. */
  factor: number('Factor', -1e9, 1e9),
  /** What its unit shows at 0 of the stored one: 32 for °F. */
  zero: z.optional(number('Zero', -1e6, 1e6)),
  meter: z.optional(Id),
  /** The battery, or the place of a temperature. */
  battery: z.optional(Id),
  place: text('Place', 60),
  grade: Grade,
  /** Columns of volts and amps that this one is the product of. */
  product: z.optional(z.tuple([whole('Column of volts', 0, 63), whole('Column of amps', 0, 63)])),
  /** Rows that hold a value. */
  count: whole('Values', 0, mostRows),
  min: finite('Lowest'),
  max: finite('Highest'),
  first: finite('First'),
  last: finite('Last'),
  /** Trapezoid over real times, in unit·h, and of its absolute; what gaps between rows leave open in it. */
  integral: finite('Integral'),
  absolute: finite('Integral of the absolute'),
  open: number('Left open between rows', 0, 1e15),
  /** Of a counter: what it rose by over all, resets left out; and how often it began again. */
  rose: z.optional(finite('Rise')),
  restarts: z.optional(whole('Restarts', 0, mostRows)),
  course: z
    .array(z.nullable(finite('Course')))
    .check(z.maxLength(mostLogCourse, `Course: ${mostLogCourse} points at most.`)),
})
export type LogColumn = z.infer<typeof LogColumn>

/** A table of a logger: its rows stored compactly under its hash, what they hold, what was left out and why. */
export const LogFile = z.extend(AttachedFile, {
  log: Id,
  /** The file as it came, which is not kept: every number of it is. */
  source: z.object({
    name: words('Name of the file', 200),
    size: whole('Bytes of the file', 1, mostLogFile),
    sha256: z.optional(Sha256),
  }),
  instrument: text('Logger', 80),
  rows: whole('Rows', 1, mostRows),
  /** The moment of its first row; rows are in s from then. */
  from: instant('From'),
  seconds: number('Seconds', 0, 1e9),
  /** The longest time without a row, and where it begins, s. */
  gap: z.object({ from: number('Gap from, s', 0, 1e9), seconds: number('Gap, s', 0, 1e9) }),
  /** What was found odd while it was read, a sentence each. */
  said: z.array(words('Remark', 300)).check(z.maxLength(30, 'Remarks: 30 at most.')),
  /** s of the points of the courses. */
  times: z
    .array(number('Time, s', 0, 1e9))
    .check(z.maxLength(mostLogCourse, `Times: ${mostLogCourse} at most.`)),
  columns: z
    .array(LogColumn)
    .check(z.minLength(1, 'Columns: say what one column holds.'), z.maxLength(24, 'Columns: 24 at most.')),
})
export type LogFile = z.infer<typeof LogFile>
