import type { Subject } from '../subject'
import { noticeContradictions } from './contradictions'
import { noticeClaimUnits, noticeDisclosure, noticeWrongRating } from './oddities'

/** The unit as its label and its history tell it. */
export const units = {
  kinds: { opened: null, remark: null },
  oddities: [noticeClaimUnits, noticeDisclosure, noticeWrongRating, noticeContradictions],
} satisfies Subject
