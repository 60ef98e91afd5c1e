import * as z from 'zod/mini'
import { Id, plain, whole, words } from './shared'

/** What a tester puts where it is wanted: a photograph, a kept comparison, the runs of another trial, or a chart, a table or a text of one rig. */
const PickedPart = z.union(
  [
    z.object({ photograph: Id }),
    z.object({ comparison: Id }),
    // Runs of another trial, as evidence from earlier.
    z.object({ runs: Id }),
    z.object({ part: words('Part of the report', 80), rig: whole('Rig', 1, 10_000) }),
  ],
  { error: 'What is put into a report: a photograph, a comparison, or a part and its rig.' },
)
export type PickedPart = z.infer<typeof PickedPart>

/** One part of a report: a part that its stages bring, or own words or something picked between them. */
const ReportBlock = z.object({
  /** The name of the part; of what the tester put there a name of its own. */
  key: words('Part of the report', 80),
  shown: z.boolean(),
  /** Own words, in paragraphs. */
  words: z.optional(plain('Own words', 5000)),
  picked: z.optional(PickedPart),
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
