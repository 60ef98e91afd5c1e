import * as z from 'zod/mini'
import { Id, instant, positive, text, whole, words } from './shared'

/** N·m that a terminal is tightened with, at most. */
const torque = (what: string) => z.optional(positive(what, 1000))

/** Narrowed down step by step, or ticked off in order: a list that a tester makes once and uses again. */
export const Checklist = z.object({
  name: words('Name'),
  lines: z
    .array(
      z.object({
        id: Id,
        words: words('Line', 300),
        /** N·m that the manual asks for; a line with it asks for what was applied. */
        torque: torque('Torque, N·m'),
      }),
    )
    .check(
      z.minLength(1, 'Lines: a list has at least one.'),
      z.maxLength(100, 'Lines: 100 at most.'),
      z.refine(
        (lines) => new Set(lines.map(({ id }) => id)).size === lines.length,
        'Lines: each has an id of its own.',
      ),
    ),
  /** Lines that are open on a rig are shown before its test. */
  beforeTest: z.boolean(),
})
export type Checklist = z.infer<typeof Checklist>

export const StoredChecklist = z.extend(Checklist, {
  id: Id,
  version: whole('Version', 1, 1e9),
  savedAt: instant('Saved'),
})
export type StoredChecklist = z.infer<typeof StoredChecklist>

/** One line worked on a rig: done, or found wrong. The words are kept as they stood. */
export const Checked = z.object({
  list: Id,
  line: Id,
  words: words('Line', 300),
  found: z.enum(['done', 'wrong', 'does not apply'], 'Found: one of done, wrong, does not apply.'),
  torque: torque('Torque asked, N·m'),
  applied: torque('Torque applied, N·m'),
  note: text('Note', 300),
})
export type Checked = z.infer<typeof Checked>
