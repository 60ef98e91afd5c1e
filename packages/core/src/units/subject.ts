import type { Subject } from '../subject'
import { noticeClaimUnits, noticeDisclosure, noticeWrongRating } from './oddities'

/** The unit as its label and its history tell it. */
export const units = {
  oddities: [noticeClaimUnits, noticeDisclosure, noticeWrongRating],
} satisfies Subject
