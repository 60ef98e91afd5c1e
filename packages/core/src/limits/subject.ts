import type { Subject } from '../subject'
import { noticeDcAgainstAc, noticeEqualCeilings, noticeOverloadCurrent, noticeSlowMeter } from './oddities'
import { continuousPower, overloadTime } from './power'
import { surgePower } from './surge'
import { thresholdPromise } from './threshold'
import { groundFaultTest, overloadTrip, recovery, startUpPromise } from './timed'

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
  oddities: [noticeDcAgainstAc, noticeSlowMeter, noticeEqualCeilings, noticeOverloadCurrent],
} satisfies Subject
