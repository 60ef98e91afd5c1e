import type { Subject } from '../subject'
import { attributionFigures } from './catalogued'
import { measureSupply } from './measuredSupply'
import { noticeOddMeter } from './oddities/arbiter'
import { noticeGauge, noticeProtection } from './oddities/current'
import { noticeEqualWatts, noticeWarming } from './oddities/supply'

/** Whose fault it was: the unit, the cable, the battery or the meter. */
export const attribution = {
  parts: { supply: measureSupply },
  figures: attributionFigures,
  oddities: [noticeWarming, noticeEqualWatts, noticeProtection, noticeGauge, noticeOddMeter],
} satisfies Subject
