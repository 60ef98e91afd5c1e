import * as z from 'zod/mini'
import { Questions } from './answers'
import { Columns, OwnLimits, OwnRows } from './catalogue'
import { DutyLine, LimiterSet, OwnAnswer } from './findings'
import { StoredMeter } from './meters'
import { LadderPlanned } from './plan'
import { ReportPlan } from './report'
import { StoredRig } from './rigs'
import { Schedule } from './schedule'
import { answered, Id, instant, oneOf, positive, text, whole, words } from './shared'
import { Overruled } from './suits'
import { StoredUnit } from './units'

/** The parts of a trial that may be edited; readings and revisions only grow. */
export const TrialSettings = z.object({
  title: words('Title'),
  /** Initials of who tests. */
  by: words('Initials', 20),
  purpose: text('Purpose', 500),
  /** Seconds a continuous claim without a time must be carried (schools: 3, 10, 60 min). */
  hold: positive('Hold, s', 86_400),
  duty: z.array(DutyLine).check(
    z.maxLength(24, 'Duty: 24 lines at most.'),
    z.refine(
      (lines) => lines.reduce((sum, line) => sum + line.hours, 0) <= 24 + 1e-9,
      'Duty: the hours of a day add up to 24 at most.',
    ),
  ),
  /** A display that was checked against a meter may stand in for it between the checks. */
  displayStandsIn: z.optional(z.boolean()),
  /** It is then corrected by what its checks found on the mean. */
  displayCorrected: z.optional(z.boolean()),
  /** What is asked of it, in a tester’s order; absent: all that its unit has. */
  questions: z.optional(Questions),
  limiters: z.array(LimiterSet).check(z.maxLength(500)),
  /** Absent: as the evidence drafts it. */
  answer: z.optional(OwnAnswer),
  /** Uses on which the tester has a word of their own. */
  overruled: z.optional(z.array(Overruled).check(z.maxLength(20, 'Overruled: 20 at most.'))),
  /** Absent: the whole report, as usual. */
  report: z.optional(ReportPlan),
  plan: z.optional(LadderPlanned),
  /** Absent: those of the bench. */
  columns: z.optional(Columns),
  /** Beside those of the bench. */
  ownLimits: z.optional(OwnLimits),
  /** Figures on the card beside those that every card has. */
  card: z.optional(OwnRows),
  schedule: z.optional(Schedule),
})
export type TrialSettings = z.infer<typeof TrialSettings>

/** What a change touches on the bench itself; a meter more, or a description put right, touches nothing of it. */
const touchables = ['unit', 'bank', 'path', 'tap'] as const
const Touched = z
  .array(oneOf('Touched', touchables))
  .check(z.maxLength(touchables.length, 'Touched: each once.'))
export type Touchable = (typeof touchables)[number]

/** Unit, rig and meters as they stood; frozen when made. */
export const Revision = z.object({
  number: whole('Revision', 1, 1000),
  why: words('Why the rig changed', 300),
  /** Absent: as the two descriptions tell. */
  touched: z.optional(Touched),
  madeAt: instant('Made at'),
  unit: StoredUnit,
  rig: StoredRig,
  meters: z.array(StoredMeter).check(z.maxLength(100)),
})
export type Revision = z.infer<typeof Revision>

export const Trial = z.extend(TrialSettings, {
  id: Id,
  version: whole('Version', 1, 1e9),
  startedAt: instant('Started'),
  revisions: z
    .array(Revision)
    .check(z.minLength(1, 'Revisions: a trial has at least one.'), z.maxLength(1000)),
})
export type Trial = z.infer<typeof Trial>

export const NewTrial = z.object({
  id: Id,
  unit: Id,
  rig: Id,
  title: words('Title'),
  by: words('Initials', 20),
  /** A trial that this one is like: its purpose, questions, hold, hours and plan are taken over, nothing that was read. */
  like: z.optional(Id),
  /** What is wanted of it; absent: all that its unit has, or what the trial that it is like asks. */
  questions: z.optional(Questions),
})
export type NewTrial = z.infer<typeof NewTrial>

/** The rig as changed, and why: becomes the next revision. */
export const NewRevision = z.object({
  /** The newest revision the tester saw, so that two tabs do not both add one. */
  after: whole('After revision', 1, 1000),
  why: words('Why the rig changed', 300),
  touched: z.optional(Touched),
  rig: StoredRig,
  /** The unit as it is described by now, with claims that were forgotten; absent: as the trial has it. */
  unit: z.optional(z.literal('as it is now')),
})
export type NewRevision = z.infer<typeof NewRevision>

/** A line of the list of trials. */
export const TrialLine = z.object({
  id: Id,
  title: answered,
  by: answered,
  startedAt: answered,
  unit: answered,
  rig: answered,
  revisions: z.number(),
  entries: z.number(),
  lastAt: z.nullable(answered),
})
export type TrialLine = z.infer<typeof TrialLine>
