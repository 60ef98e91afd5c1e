import type { Subject } from '../subject'
import { enduranceFigures } from './catalogued'
import { noticeGaugeOff } from './gauge'
import { caseTemperature, cycles, energy, noise, runTime } from './promises'
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
  promises: {
    energy,
    'run time': runTime,
    'case temperature': caseTemperature,
    noise,
    cycles,
  },
  figures: enduranceFigures,
  oddities: [noticeRestEnergy, noticeGaugeOff, noticeQuiet],
} satisfies Subject
