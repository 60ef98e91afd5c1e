import * as z from 'zod/mini'
import { number, oneOf, words } from './shared'

/** What a rule of suiting can ask of a unit (docs/method/suits.md). */
export const suitFigures = [
  'idle draw',
  'night',
  'efficiency over the hours',
  'volts',
  'THD',
  'surge',
  'start',
  'noise',
  'case',
  'dropout',
] as const
const SuitFigure = oneOf('What is asked', suitFigures)
export type SuitFigure = z.infer<typeof SuitFigure>

const SuitNeed = z.object({
  figure: SuitFigure,
  is: oneOf('At least or at most', ['at least', 'at most'] as const),
  value: number('Limit', 0, 1e6),
})
export type SuitNeed = z.infer<typeof SuitNeed>

/** A use, and what a unit needs for it. */
export const SuitRule = z
  .object({
    name: words('Use', 80),
    needs: z.array(SuitNeed).check(z.maxLength(8, 'Needs: 8 at most.')),
    /** What the unit must have, by the names of its features. */
    features: z.optional(z.array(words('Must have', 60)).check(z.maxLength(8, 'Must have: 8 at most.'))),
  })
  .check(
    z.refine(
      ({ needs, features = [] }) => needs.length + features.length > 0,
      'Needs: a use asks at least one.',
    ),
  )
export type SuitRule = z.infer<typeof SuitRule>

export const SuitRules = z.array(SuitRule).check(
  z.maxLength(20, 'Uses: 20 at most.'),
  z.refine(
    (rules) => new Set(rules.map(({ name }) => name)).size === rules.length,
    'Uses: two have the same name.',
  ),
)

/** The tester’s own word on a use, against what the rule says. */
export const Overruled = z.object({
  rule: words('Use', 80),
  says: oneOf('Overruled to', ['suits', 'does not suit'] as const),
  why: words('Why', 300),
})
export type Overruled = z.infer<typeof Overruled>
