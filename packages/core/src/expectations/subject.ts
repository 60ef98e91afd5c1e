import type { Subject } from '../subject'

/** What was expected before it was tested, and how it came out. */
export const expectations = {
  kinds: {
    expectation: ({ words }) => ({ note: words }),
    'came out': ({ outcome, because }) => ({ end: outcome, note: because }),
  },
} satisfies Subject
