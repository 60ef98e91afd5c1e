import * as z from 'zod/mini'
import { plain, words } from './shared'

/** One part of a report: a part that its stages bring, or own words between them. */
const ReportBlock = z.object({
  /** The name of the part; of own words a name of their own. */
  key: words('Part of the report', 80),
  shown: z.boolean(),
  /** Own words, in paragraphs. */
  words: z.optional(plain('Own words', 5000)),
})
export type ReportBlock = z.infer<typeof ReportBlock>

const blocks = z.array(ReportBlock).check(z.maxLength(100, 'Parts of the report: 100 at most.'))

/** A report as its tester composed it: what stands in it, in which order; parts that are not named stand as usual. */
export const ReportPlan = z.object({
  blocks,
  /** Within each rig. */
  inRigs: blocks,
})
export type ReportPlan = z.infer<typeof ReportPlan>
