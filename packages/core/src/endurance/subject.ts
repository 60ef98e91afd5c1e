import type { Subject } from '../subject'
import { noticeGaugeOff } from './gauge'
import { judgeCase, judgeCycles, judgeEnergy, judgeNoise, judgeOverloadTime, judgeRunTime } from './judges'
import { noticeQuiet } from './noise'
import { noticeRestEnergy } from './oddities'

/** For how long, how much energy, how warm and how loud. */
export const endurance = {
  kinds: {
    noise: ({ level, background, distance, load, watts, fan, note }) => ({
      'level [dB(A)]': level,
      'background [dB(A)]': background,
      'distance [m]': distance,
      load,
      'load [W]': watts,
      fan,
      note,
    }),
  },
  judges: {
    energy: judgeEnergy,
    'run time': judgeRunTime,
    'case temperature': judgeCase,
    'overload time': judgeOverloadTime,
    noise: judgeNoise,
    cycles: judgeCycles,
  },
  oddities: [noticeRestEnergy, noticeGaugeOff, noticeQuiet],
} satisfies Subject
