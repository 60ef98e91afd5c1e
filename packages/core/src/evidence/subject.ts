import type { Subject } from '../subject'
import { displayFigures } from './catalogued'
import {
  noticeCoarse,
  noticeDisplay,
  noticeNotZeroed,
  noticeRange,
  noticeTiming,
  noticeUnfitMeter,
} from './oddities'
import { noticeDisplayOff } from './displayAgainst'
import { gatherEvidence } from './spreads'

/** Values as they were read: on which meter, how far apart, how they scatter. */
export const evidence = {
  parts: { evidence: gatherEvidence },
  figures: displayFigures,
  oddities: [
    noticeNotZeroed,
    noticeUnfitMeter,
    noticeRange,
    noticeTiming,
    noticeDisplay,
    noticeDisplayOff,
    noticeCoarse,
  ],
} satisfies Subject
