import type { Subject } from '../subject'
import { noticeDcAgainstAc, noticeEqualCeilings, noticeSlowMeter } from './oddities'
import { judgeContinuous, judgeSurge } from './power'
import { judgeThreshold } from './threshold'

/** How far it goes: rated power, surge, and the volts at which it warns and stops. */
export const limits = {
  judges: {
    'continuous power': judgeContinuous,
    'surge power': judgeSurge,
    'alarm voltage': judgeThreshold('alarm'),
    'cutoff voltage': judgeThreshold('cutoff'),
  },
  oddities: [noticeDcAgainstAc, noticeSlowMeter, noticeEqualCeilings],
} satisfies Subject
