import { notTested } from '../findings'
import type { Subject } from '../subject'
import { noticeRestEnergy } from './oddities'

/** For how long, and how much energy. */
export const endurance = {
  judges: {
    energy: () =>
      notTested('The energy was not tested. It needs a run-down to cutoff with watt-hours at the outlet.'),
  },
  oddities: [noticeRestEnergy],
} satisfies Subject
