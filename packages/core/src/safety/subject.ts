import type { Subject } from '../subject'

/** Cautions, read and acknowledged. */
export const safety = { kinds: { 'make safe': null } } satisfies Subject
