import type { Subject } from '../subject'
import { eachLeg } from './eachLeg'
import { noticeDcAgainstAc, noticeEqualCeilings, noticeOverloadCurrent, noticeSlowMeter } from './oddities'
import { judgeContinuous } from './power'
import { judgeSurge } from './surge'
import { judgeThreshold } from './threshold'
import { judgeGroundFault, judgeOverloadTrip, judgeRecovery, judgeStartUp } from './timed'

/** Units in the headings of the CSV. */
const headings: Readonly<Record<string, string>> = {
  watts: 'load [W]',
  lasted: 'lasted [s]',
  alarmAt: 'warned at [W]',
  volts: 'outlet [V]',
  inputVolts: 'terminals [V]',
  V_C: 'outlet [V]',
  V_B: 'terminals [V]',
  comebackAfter: 'back after [s]',
  back: 'back after [s]',
  baseBefore: 'base before [V]',
  baseAfter: 'base after [V]',
  startUp: 'start-up [s]',
  softStart: 'soft start [s]',
  from: 'from [W]',
  to: 'to [W]',
  lowest: 'lowest [V]',
  highest: 'highest [V]',
  pulses: 'swing [%]',
}

/** How far it goes: rated power, surge, and the volts at which it warns and stops. */
export const limits = {
  kinds: {
    limit: ({ test, note, ...read }) => ({
      test,
      ...Object.fromEntries(Object.entries(read).map(([name, value]) => [headings[name] ?? name, value])),
      note,
    }),
  },
  judges: {
    'continuous power': eachLeg(judgeContinuous),
    'surge power': eachLeg(judgeSurge),
    'alarm voltage': judgeThreshold('alarm'),
    'cutoff voltage': judgeThreshold('cutoff'),
    'overload trip': judgeOverloadTrip,
    recovery: judgeRecovery,
    'start-up time': judgeStartUp('startUp', 'start-up time'),
    'soft start': judgeStartUp('softStart', 'soft start'),
    'ground-fault test': judgeGroundFault,
  },
  oddities: [noticeDcAgainstAc, noticeSlowMeter, noticeEqualCeilings, noticeOverloadCurrent],
} satisfies Subject
