import type { Subject } from '../subject'

/** The bank and what helps it. */
export const supply = { kinds: { 'load test': null } } satisfies Subject
