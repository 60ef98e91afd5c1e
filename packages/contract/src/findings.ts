import * as z from 'zod/mini'
import { Id, number, oneOf, text, whole, words } from './shared'

/** All but the unit itself: what kept a promise from being shown. */
export const limiters = [
  'supply',
  'load',
  'meter',
  'protection',
  'joint',
  'leads',
  'machine',
  'time',
  'person',
] as const
export const Limiter = oneOf('Limiter', limiters)
export type Limiter = z.infer<typeof Limiter>
/** Who may end or spoil a test, in the words of the method (docs/method/blame.md). */
export type Who = 'unit' | Limiter

/** Set by the tester: what ended the test of a claim on one rig revision. */
export const LimiterSet = z.object({
  claim: Id,
  revision: whole('Revision', 1, 1000),
  limiter: Limiter,
  /** What would show the claim. */
  wouldShow: text('What would show it', 300),
})
export type LimiterSet = z.infer<typeof LimiterSet>

/** One line of the owner's duty: hours a day at a load; idle is 0 W. */
export const DutyLine = z.object({
  hours: number('Hours', 0, 24),
  load: number('Load, W', 0, 1e6),
})
export type DutyLine = z.infer<typeof DutyLine>

/** The answer in the tester’s words, and what the evidence drafted when they were written. */
export const OwnAnswer = z.object({
  said: z
    .array(words('Sentence', 600))
    .check(
      z.minLength(1, 'Answer: at least one sentence.'),
      z.maxLength(3, 'Answer: three sentences at most.'),
    ),
  drafted: z.array(words('Sentence', 2000)).check(z.maxLength(3)),
})
export type OwnAnswer = z.infer<typeof OwnAnswer>

export const outcomes = [
  'met',
  'met, within uncertainty',
  'not met, within uncertainty',
  'not met',
  'not shown',
  'not tested',
] as const
export type Outcome = (typeof outcomes)[number]
