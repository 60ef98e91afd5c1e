import type { ClaimQuantity } from '@even-watt/contract'
import { notTested, type Judge } from '../finding'
import { judgeEfficiency } from './efficiency'
import { judgeDistortion, judgeRegulation } from './extremes'
import { judgeIdle, judgeSearch } from './idle'
import { judgeFrequency, judgeOutputVoltage } from './noLoadOutput'
import { judgeContinuous, judgeSurge } from './power'

const noTap =
  (what: string, how: string): Judge =>
  () =>
    notTested(`${what} was not tested. ${how}`)

/** One judge for each thing a label can promise. */
export const judges: Record<ClaimQuantity, Judge> = {
  'continuous power': judgeContinuous,
  'surge power': judgeSurge,
  efficiency: judgeEfficiency,
  'idle draw': judgeIdle,
  'search-mode draw': judgeSearch,
  regulation: judgeRegulation,
  THD: judgeDistortion,
  'output voltage': judgeOutputVoltage,
  frequency: judgeFrequency,
  'alarm voltage': noTap(
    'The alarm voltage',
    'Lower the input slowly at a light load and note V_B at the alarm.',
  ),
  'cutoff voltage': noTap(
    'The cutoff voltage',
    'Lower the input slowly at a light load and note V_B at the cutoff.',
  ),
  'transfer time': noTap('The transfer time', 'It needs a capture of the changeover.'),
  energy: noTap('The energy', 'It needs a run-down to cutoff with watt-hours at the outlet.'),
}
