import type { Subject } from '../subject'

/** Files attached to a trial: kept, handed over and left out of every computation. */
export const files = { kinds: { file: null } } satisfies Subject
