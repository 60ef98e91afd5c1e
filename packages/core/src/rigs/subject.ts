import type { Subject } from '../subject'
import { noticeNoFuse, noticeOtherCurrent } from './oddities'

/** The power path: what lies between posts and terminals, surveyed and changed. */
export const rigs = {
  kinds: { survey: null, prediction: null },
  oddities: [noticeNoFuse, noticeOtherCurrent],
} satisfies Subject
