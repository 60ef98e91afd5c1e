import type { StoredLoad } from '@even-watt/contract'
import { useMemo } from 'react'
import { useShelf } from '../plan/useShelf'
import { useTrial } from '../trials/useTrial'
import { sheetOf, type SheetTable } from './sheet'
import { useSchedule, type ScheduleState } from './useSchedule'

/** The schedule as boxes to write in; undefined: there is no schedule. */
export function useSheet():
  { state: ScheduleState; tables: readonly SheetTable[]; loads: readonly StoredLoad[] } | undefined {
  const { analysis } = useTrial()
  const { loads, plan } = useShelf(useTrial())
  const state = useSchedule(useTrial(), 0)
  const { rig } = analysis.record.revision
  return useMemo(
    () => state && { state, loads, tables: sheetOf({ made: state.made, plan, loads, rig }) },
    [state, plan, loads, rig],
  )
}
