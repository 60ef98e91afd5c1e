import * as z from 'zod/mini'
import { OwnRows } from './catalogue'
import { Id, instant, number, plain, text, whole, words } from './shared'

/** Trials that are laid beside each other, at most. */
export const mostCompared = 8
const mostWeights = 20
const mostCauses = 60

/** One rig revision of one trial. */
export const Picked = z.object({ trial: Id, revision: whole('Rig', 1, 1000) })
export type Picked = z.infer<typeof Picked>

const isOnce = (of: readonly Picked[]): boolean =>
  new Set(of.map(({ trial, revision }) => `${trial} ${revision}`)).size === of.length

/** Trials laid beside each other under a name; the first is what the others are held against. */
export const Comparison = z.object({
  name: words('Name'),
  of: z
    .array(Picked)
    .check(
      z.minLength(2, 'Compared: choose at least two.'),
      z.maxLength(mostCompared, `Compared: ${mostCompared} at most.`),
      z.refine(isOnce, 'Compared: one rig of one trial stands there twice; it does not differ from itself.'),
    ),
  /** What each criterion counts in the ranking, by its key; what is absent counts nothing. */
  weights: z.optional(
    z
      .record(plain('Criterion', 40), number('Weight', 0, 100))
      .check(
        z.refine((weights) => Object.keys(weights).length <= mostWeights, `Weights: ${mostWeights} at most.`),
      ),
  ),
  /** Rows beside those that every comparison has. */
  figures: z.optional(OwnRows),
  /** What the tester takes a difference to come from, by the criterion it is in. */
  causes: z.optional(
    z
      .record(plain('Criterion', 120), plain('Why they differ', 300))
      .check(
        z.refine((causes) => Object.keys(causes).length <= mostCauses, `Causes: ${mostCauses} at most.`),
      ),
  ),
  note: text('Note'),
})
export type Comparison = z.infer<typeof Comparison>

export const StoredComparison = z.extend(Comparison, {
  id: Id,
  version: whole('Version', 1, 1e9),
  savedAt: instant('Saved'),
})
export type StoredComparison = z.infer<typeof StoredComparison>
