import type { Subject } from '../subject'
import { limitFigures } from './catalogued'
import { noticeDcAgainstAc, noticeEqualCeilings, noticeOverloadCurrent, noticeSlowMeter } from './oddities'
import { continuousPower, overloadTime } from './power'
import { surgePower } from './surge'
import { thresholdPromise } from './threshold'
import { groundFaultTest, overloadTrip, recovery, startUpPromise } from './timed'

/** How far it goes: rated power, surge, and the volts at which it warns and stops. */
export const limits = {
  kinds: { limit: 'as declared' },
  promises: {
    'continuous power': continuousPower,
    'surge power': surgePower,
    'overload time': overloadTime,
    'alarm voltage': thresholdPromise('alarm'),
    'cutoff voltage': thresholdPromise('cutoff'),
    'overload trip': overloadTrip,
    recovery,
    'start-up time': startUpPromise('startUp', 'start-up time'),
    'soft start': startUpPromise('softStart', 'soft start'),
    'ground-fault test': groundFaultTest,
  },
  figures: limitFigures,
  oddities: [noticeDcAgainstAc, noticeSlowMeter, noticeEqualCeilings, noticeOverloadCurrent],
} satisfies Subject
