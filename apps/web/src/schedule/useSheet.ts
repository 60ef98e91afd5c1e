import type { StoredLoad } from '@even-watt/contract'
import { useMemo } from 'react'
import { api } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { sheetOf, type SheetTable } from './sheet'
import { useSchedule, type ScheduleState } from './useSchedule'

const noLoads: readonly StoredLoad[] = []

/** The schedule as boxes to write in; undefined: there is no schedule. */
export function useSheet():
  { state: ScheduleState; tables: readonly SheetTable[]; loads: readonly StoredLoad[] } | undefined {
  const { trial, analysis } = useTrial()
  const { data: loads = noLoads } = api.useLoadsQuery()
  const state = useSchedule(0)
  const { rig } = analysis.record.revision
  return useMemo(
    () => state && { state, loads, tables: sheetOf({ made: state.made, plan: trial.plan, loads, rig }) },
    [state, trial.plan, loads, rig],
  )
}
