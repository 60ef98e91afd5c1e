import * as z from 'zod/mini'
import { Id, number, oneOf, positive, text, words } from './shared'

/** What is read at the taps (handbook §4). */
export const quantities = ['V_A', 'I_bank', 'V_B', 'I', 'V_C', 'I_C', 'P_C', 'PF', 'f', 'THD', 'T'] as const
export const Quantity = oneOf('Quantity', quantities)
export type Quantity = z.infer<typeof Quantity>

/** Idle current often has a meter of its own, so it is assigned apart. */
export const assignables = [...quantities, 'idle I'] as const
export type Assignable = (typeof assignables)[number]

/** How a value was come by: only measured decides a claim. */
export const grades = ['measured', 'display', 'estimated', 'observed'] as const
export const Grade = oneOf('Grade', grades)
export type Grade = z.infer<typeof Grade>

/** One value read at one moment, in SI units (PF and THD as fractions). */
export const Value = z.object({
  quantity: Quantity,
  value: number('Value', -1e7, 1e7),
  grade: Grade,
  /** The meter it was read on; the revision holds its specification. */
  meter: z.optional(Id),
  at: z.optional(z.iso.datetime()),
})
export type Value = z.infer<typeof Value>

export const Values = z.array(Value).check(z.maxLength(40, 'Values: 40 at most in one reading.'))

/** What the unit itself shows; a claim, not a measurement. */
export const Display = z.object({
  inputVoltage: z.optional(number('Display, input V', 0, 2000)),
  outputVoltage: z.optional(number('Display, output V', 0, 2000)),
  outputPower: z.optional(number('Display, output W', 0, 1e6)),
  frequency: z.optional(number('Display, Hz', 0, 1000)),
})

/** IEC-like load kinds of handbook §14. */
export const loadKinds = [
  'element',
  'filament',
  'electronic',
  'induction motor',
  'brush motor',
  'microwave',
  'half-wave',
  'mixed',
] as const
export const LoadKind = oneOf('Kind of load', loadKinds)
export type LoadKind = z.infer<typeof LoadKind>

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
  uses: z.optional(
    z.array(z.object({ load: Id, setting: Id })).check(z.maxLength(60, 'Loads of a step: 60 at most.')),
  ),
  /** Output watts that the plan led one to expect. */
  expected: z.optional(number('Expected watts', 0, 1e6)),
  values: Values,
  display: z.optional(Display),
  fan: z.optional(oneOf('Fan', fanStates)),
  alarm: z.optional(oneOf('Alarm', alarms)),
  /** What became of the step. */
  end: z.optional(oneOf('How it ended', ends)),
  /** How long the load was carried, s. */
  held: z.optional(positive('Held for', 1e6)),
  note: text('Note', 1000),
})
export type LadderReading = z.infer<typeof LadderReading>

export const NoLoadReading = z.object({
  values: Values,
  display: z.optional(Display),
  mode: oneOf('Mode', ['on', 'search'] as const),
  note: text('Note', 1000),
})
export type NoLoadReading = z.infer<typeof NoLoadReading>
