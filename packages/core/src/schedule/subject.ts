import type { Subject } from '../subject'

/** The day as planned, and as it went. */
export const schedule = { kinds: { run: null } } satisfies Subject
