import * as z from 'zod/mini'
import { Comparator } from './units'
import { Id, number, oneOf, words } from './shared'

/** What any figure can be held against (docs/method/catalogue.md). */
export const heldReferences = [
  'nothing connected',
  'nominal or rated',
  'the mains here',
  'the step before',
  'the promise',
  'expected',
  'the rig before',
] as const
const HeldReference = oneOf('Held against', heldReferences)
export type HeldReference = z.infer<typeof HeldReference>

/** How far a figure is from what it is held against is told in these ways. */
const heldWays = ['difference', 'per cent', 'share'] as const
const HeldWay = oneOf('Told as', heldWays)
export type HeldWay = z.infer<typeof HeldWay>

/** A figure of the catalogue by its name, as it is or held against something. */
export const Chosen = z.object({
  figure: words('Figure', 80),
  held: z.optional(z.object({ against: HeldReference, as: HeldWay })),
})
export type Chosen = z.infer<typeof Chosen>

export const mostColumns = 12
/** Figures that the tables of steps have besides those they always have, in their order. */
export const Columns = z
  .array(Chosen)
  .check(z.maxLength(mostColumns, `Columns of your own: ${mostColumns} at most.`))

/** A figure where one must do for a rig: of a figure of steps, the highest or the lowest over the loads. */
export const OwnRow = z.object({
  of: Chosen,
  over: z.optional(oneOf('Over the loads', ['highest', 'lowest'] as const)),
})
export type OwnRow = z.infer<typeof OwnRow>

export const OwnRows = z.array(OwnRow).check(z.maxLength(20, 'Figures of your own choice: 20 at most.'))

/** A limit of the tester’s own for any figure; in the unit in which the figure is shown. */
export const OwnLimit = z.object({
  id: Id,
  of: Chosen,
  is: Comparator,
  value: number('Limit', -1e9, 1e9),
})
export type OwnLimit = z.infer<typeof OwnLimit>

export const OwnLimits = z.array(OwnLimit).check(z.maxLength(40, 'Limits of your own: 40 at most.'))
