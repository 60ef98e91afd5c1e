import type { Subject } from '../subject'

/** Lists worked on a rig, line by line: shown before its test, and part of no computation. */
export const checklists = { kinds: { checked: null } } satisfies Subject
