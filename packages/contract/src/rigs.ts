import * as z from 'zod/mini'
import { Conductor } from './conductors'
import { assignables } from './evidence'
import { Id, instant, number, oneOf, positive, text, whole, words } from './shared'
import { Bank, Support } from './supply'

/** Joints and connections: what they should measure is a matter of workmanship. */
const jointKinds = ['lug', 'jaw clamp', 'terminal', 'connector'] as const
/** Devices with a rating printed on them. */
const deviceKinds = ['fuse', 'breaker', 'shunt', 'isolator'] as const
export const elementKinds = ['cable', ...jointKinds, ...deviceKinds] as const
export type ElementKind = (typeof elementKinds)[number]

const element = {
  id: Id,
  name: words('Name', 60),
  /** Expected resistance, Ω, where it is known better than the table or the computation. */
  resistance: z.optional(positive('Expected resistance, Ω', 10)),
  /** What must be known at it: "fine strands: ferrule, or the terminal overheats". It is asked again wherever it is used. */
  warning: text('Warning', 200),
  /** Its hole and the stud it goes on, mm. */
  hole: z.optional(positive('Hole, mm', 100)),
  stud: z.optional(positive('Stud, mm', 100)),
  /** What it carries for a stated short time. */
  shortTime: z.optional(
    z.object({
      current: positive('Short-time rating, A', 1e5),
      seconds: positive('Short-time rating, s', 1e5),
    }),
  ),
}

export const Cable = z.object({
  ...element,
  kind: z.literal('cable'),
  /** Unlike runs in parallel stand here one by one. */
  conductors: z
    .array(Conductor)
    .check(
      z.minLength(1, 'Cable: at least one conductor.'),
      z.maxLength(8, 'Cable: 8 conductors at most in parallel.'),
    ),
  /** What its insulation stands, °C. */
  insulation: number('Insulation, °C', 40, 300),
})
export type Cable = z.infer<typeof Cable>

const Joint = z.object({
  ...element,
  kind: oneOf('Kind', jointKinds),
  continuous: z.optional(positive('Continuous rating, A', 1e5)),
})

const Device = z.object({
  ...element,
  kind: oneOf('Kind', deviceKinds),
  continuous: positive('Rating, A', 1e5),
})

export const PathElement = z.discriminatedUnion(
  'kind',
  [Cable, Joint, Device],
  `Element: one of ${elementKinds.join(', ')}.`,
)
export type PathElement = z.infer<typeof PathElement>

/** From the post to the unit's terminal. */
const Side = z.array(PathElement).check(z.maxLength(20, 'Elements: 20 at most on one side.'))

/** Which meter reads which quantity; the quantity says at which tap. */
export const Assignment = z.object({
  quantity: oneOf('Quantity', assignables),
  meter: Id,
  /** The element or battery whose conductor an ammeter is on; absent: the unit's own lead. */
  on: z.optional(Id),
})
export type Assignment = z.infer<typeof Assignment>

const kinds = [...jointKinds, ...deviceKinds] as const

/** What the unit works beside. */
export const arrangements = [
  'alone',
  'the grid passes through it',
  'in parallel with another unit',
  'it feeds a panel',
] as const

/** Where neutral and earth of the output are joined outside the unit. */
export const bonds = ['none', 'a plug or link on the bench', 'in what it feeds', 'not known'] as const

export const Rig = z.object({
  name: words('Name'),
  bank: Bank,
  support: z.optional(Support),
  positive: Side,
  negative: Side,
  /** Cables are there whose size or length nobody knows: nothing is then expected of the path. */
  leads: z.optional(z.literal('not known')),
  /** Expected Ω of joints and devices, where the tester's differ from the usual ones. */
  typical: z.optional(z.partialRecord(z.enum(kinds), positive('Usual resistance, Ω', 1))),
  /** °C around the cables. */
  ambient: number('Ambient, °C', -40, 80),
  /** Absent: nobody said. */
  bond: z.optional(oneOf('Neutral and earth outside the unit', bonds)),
  arrangement: z.optional(oneOf('It works', arrangements)),
  /** In reading order: the order of the meters on the bench. */
  assignments: z.array(Assignment).check(z.maxLength(30, 'Meters at taps: 30 at most.')),
  note: text('Note'),
})
export type Rig = z.infer<typeof Rig>

export const StoredRig = z.extend(Rig, {
  id: Id,
  version: whole('Version', 1, 1e9),
  savedAt: instant('Saved'),
})
export type StoredRig = z.infer<typeof StoredRig>

/** Drops across the path at one steady current, in path order (docs/method/rigs.md). */
export const Survey = z
  .object({
    /** Without an ammeter the unit’s output watts stand for it. */
    current: z.optional(positive('Current, A', 1e5)),
    power: z.optional(positive('Output watts', 1e6)),
    ammeter: z.optional(Id),
    wattmeter: z.optional(Id),
    voltmeter: z.optional(Id),
    /** Across each element; or at successive points, all against one reference. */
    method: oneOf('How it was read', ['across', 'points'] as const),
    /** Volts at each post against the reference, for points. */
    posts: z.optional(
      z.object({
        positive: z.optional(number('At the positive post, V', -1000, 1000)),
        negative: z.optional(number('At the negative post, V', -1000, 1000)),
      }),
    ),
    readings: z
      .array(z.object({ element: Id, volts: number('Reading, V', -1000, 1000) }))
      .check(
        z.minLength(1, 'Survey: at least one element is read.'),
        z.maxLength(40, 'Survey: 40 readings at most.'),
      ),
    note: text('Note', 1000),
  })
  .check(
    z.refine(({ current, power }) => current !== undefined || power !== undefined, {
      error: 'Current: type the amps, or without an ammeter the watts at the outlet.',
      path: ['current'],
    }),
  )
export type Survey = z.infer<typeof Survey>

/** One change to a rig, tried out before it is made. */
export const RigChange = z.discriminatedUnion(
  'kind',
  [
    z.object({ kind: z.literal('remake'), element: Id }),
    z.object({ kind: z.literal('cable'), element: Id, conductor: Conductor }),
    z.object({
      kind: z.literal('battery'),
      name: words('Battery', 60),
      rest: positive('Rest volts', 1000),
      resistance: positive('Internal resistance, Ω', 10),
      link: positive('Its link, Ω', 10),
    }),
    z.object({ kind: z.literal('support'), current: positive('Its current, A', 1e4) }),
    z.object({
      kind: z.literal('take-off'),
      positiveAt: whole('Positive take-off', 0, 15),
      negativeAt: whole('Negative take-off', 0, 15),
    }),
  ],
  'Change: one of remake, cable, battery, support, take-off.',
)
export type RigChange = z.infer<typeof RigChange>

/** A what-if as it was computed on the day, kept to be compared with what the change then did. */
export const Prediction = z.object({
  changes: z
    .array(RigChange)
    .check(z.minLength(1, 'What if: at least one change.'), z.maxLength(10, 'What if: 10 changes at most.')),
  words: words('In words', 300),
  /** Output watts and the volts then expected at B, with a standard uncertainty. */
  steps: z
    .array(
      z.object({
        power: positive('Watts', 1e6),
        V_B: positive('Volts at B', 1000),
        u: number('Uncertainty, V', 0, 1000),
      }),
    )
    .check(z.maxLength(50)),
  /** The most the supply would give, output W; absent: not known. */
  headroom: z.optional(positive('Headroom, W', 1e7)),
})
export type Prediction = z.infer<typeof Prediction>
