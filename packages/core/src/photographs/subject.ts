import type { Subject } from '../subject'

/** Photographs with what is marked on them: shown beside what they are of, and part of no computation. */
export const photographs = { kinds: { photograph: null } } satisfies Subject
