import * as z from 'zod/mini'
import { LoadUse, StoredLoad, Taken } from './loads'
import { Id, positive, whole } from './shared'

/** One step of a plan: what is to be connected, and whether the tester fixed it. */
const PlannedUse = z.object({
  /** W. */
  target: positive('Target, W', 1e6),
  uses: z.array(LoadUse).check(z.maxLength(60, 'Loads of a step: 60 at most.')),
  /** W expected at the outlet. */
  expected: z.number('Expected watts: a number.').check(z.gte(0)),
  locked: z.boolean(),
})

/** The ladder as it is planned. */
export const LadderPlanned = z.object({
  outlets: whole('Outlets', 1, 60),
  /** Loads that are not to be used. */
  excluded: z.array(Id).check(z.maxLength(1000)),
  steps: z.array(PlannedUse).check(z.maxLength(40, 'Steps: 40 at most.')),
  /** The loads of its steps as they stood when it was last saved, and what their settings were known to take. */
  loads: z.optional(z.array(StoredLoad).check(z.maxLength(1000, 'Loads: 1000 at most.'))),
  taken: z.optional(z.array(Taken).check(z.maxLength(12_000, 'Settings: 12000 at most.'))),
})
export type LadderPlanned = z.infer<typeof LadderPlanned>
