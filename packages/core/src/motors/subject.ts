import type { Subject } from '../subject'
import { noticeBankLow, noticeTwoChanges } from './oddities'

/** What it starts. */
export const motors = {
  kinds: { motors: null },
  oddities: [noticeBankLow, noticeTwoChanges],
} satisfies Subject
