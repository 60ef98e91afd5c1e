import * as z from 'zod/mini'
import { OwnLimit } from './catalogue'
import { Id, oneOf, text, words } from './shared'

/** What the tester thinks will come out, written down before it is tested. */
export const Expectation = z.object({
  words: words('What you expect', 300),
  /** Where a figure tells whether it came out: then what is read is held against it. */
  holds: z.optional(OwnLimit),
})
export type Expectation = z.infer<typeof Expectation>

export const expectationOutcomes = ['confirmed', 'refuted', 'cannot tell'] as const

/** What the evidence then said of it. */
export const CameOut = z.object({
  expectation: Id,
  outcome: oneOf('How it came out', expectationOutcomes),
  because: text('By what', 300),
})
export type CameOut = z.infer<typeof CameOut>
