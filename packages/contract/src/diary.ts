import * as z from 'zod/mini'
import { Id, instant, number, oneOf, whole, words } from './shared'

/** What a unit's life is written of; the first two carry a figure that grows. */
export const diaryKinds = ['cycles', 'energy', 'fault', 'repair', 'firmware', 'note'] as const

/** A dated line in the life of a unit, beyond any one trial. */
export const DiaryLine = z.object({
  id: Id,
  /** The day, as the tester writes it. */
  on: z.iso.date('Day: like 2026-03-12.'),
  what: oneOf('What', diaryKinds),
  /** Cycles, or Wh at the outlet, from its first day up to then. */
  value: z.optional(number('Figure', 0, 1e9)),
  words: words('In words', 500),
})
export type DiaryLine = z.infer<typeof DiaryLine>

/** The diary of one unit; it has the unit's own id. */
export const Diary = z.object({
  /** The unit's name when it was last written. */
  name: words('Name'),
  lines: z.array(DiaryLine).check(z.maxLength(1000, 'Diary: 1000 lines at most.')),
})
export type Diary = z.infer<typeof Diary>

export const StoredDiary = z.extend(Diary, {
  id: Id,
  version: whole('Version', 1, 1e9),
  savedAt: instant('Saved'),
})
export type StoredDiary = z.infer<typeof StoredDiary>
