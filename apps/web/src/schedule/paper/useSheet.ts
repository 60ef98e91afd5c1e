import type { StoredLoad } from '@even-watt/contract'
import { useMemo } from 'react'
import { useShelf } from '../../plan/useShelf'
import { useTrial } from '../../trials/useTrial'
import type { SheetTable } from './boxes'
import { sheetOf } from './sheet'
import { useSchedule, type ScheduleState } from '../useSchedule'

/** The schedule as boxes to write in; undefined: there is no schedule. */
export function useSheet():
  { state: ScheduleState; tables: readonly SheetTable[]; loads: readonly StoredLoad[] } | undefined {
  const { analysis } = useTrial()
  const { loads, plan } = useShelf(useTrial())
  const state = useSchedule(useTrial(), 0)
  const { revision } = analysis.record
  return useMemo(
    () =>
      state && {
        state,
        loads,
        tables: sheetOf({ made: state.made, plan, loads, revision, every: state.schedule.checkEvery }),
      },
    [state, plan, loads, revision],
  )
}
