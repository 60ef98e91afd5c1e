import type { Subject } from '../subject'
import { noticeDcAgainstAc, noticeEqualCeilings, noticeSlowMeter } from './oddities'
import { judgeContinuous } from './power'
import { judgeSurge } from './surge'
import { judgeThreshold } from './threshold'
import { judgeOverloadTrip, judgeRecovery, judgeStartUp } from './timed'

/** How far it goes: rated power, surge, and the volts at which it warns and stops. */
export const limits = {
  kinds: {
    limit: (reading) => ({
      test: reading.test,
      ...Object.fromEntries(Object.entries(reading).filter(([name]) => name !== 'test' && name !== 'note')),
      note: reading.note,
    }),
  },
  judges: {
    'continuous power': judgeContinuous,
    'surge power': judgeSurge,
    'alarm voltage': judgeThreshold('alarm'),
    'cutoff voltage': judgeThreshold('cutoff'),
    'overload trip': judgeOverloadTrip,
    recovery: judgeRecovery,
    'start-up time': judgeStartUp('startUp', 'start-up time'),
    'soft start': judgeStartUp('softStart', 'soft start'),
  },
  oddities: [noticeDcAgainstAc, noticeSlowMeter, noticeEqualCeilings],
} satisfies Subject
