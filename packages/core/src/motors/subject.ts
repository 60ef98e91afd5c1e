import type { Subject } from '../subject'
import { motorFigures } from './catalogued'
import { analyseMotors } from './analysis'
import { noticeBankLow, noticeDeviceHeld, noticeSlowExtremes, noticeTwoChanges } from './oddities'

/** What it starts, and who stopped what it does not. */
export const motors = {
  kinds: {
    motors: ({
      number,
      load,
      state,
      leg,
      baseLoad,
      bankBefore,
      lasted,
      lowestOutput,
      lowestInput,
      peakCurrent,
      runningCurrent,
      seenWatts,
      opened,
      outcome,
      note,
    }) => ({
      attempt: number,
      load,
      state,
      leg,
      'base load [W]': baseLoad,
      'bank before [V]': bankBefore,
      'lasted [s]': lasted,
      'lowest V_C [V]': lowestOutput,
      'lowest V_B [V]': lowestInput,
      'highest I_C [A]': peakCurrent,
      'running I_C [A]': runningCurrent,
      'highest P_C [W]': seenWatts,
      opened,
      outcome,
      note,
    }),
  },
  parts: { motors: analyseMotors },
  figures: motorFigures,
  oddities: [noticeBankLow, noticeTwoChanges, noticeSlowExtremes, noticeDeviceHeld],
} satisfies Subject
