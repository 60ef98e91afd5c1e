import { startGround, viewTrial, type StartGround } from '@even-watt/core'
import { useEffect, useState } from 'react'
import { api } from '../api/api'
import { useAppDispatch } from '../store'

/** A unit on a rig, as a column of a table. */
export interface UnitColumn {
  readonly id: string
  readonly unit: string
  readonly rig: string
  readonly ground: StartGround
}

/** Trials that are looked through, the latest first, and units on their rigs that are shown beside this one. */
const mostTrials = 100
const mostOthers = 12

/** What the units of other trials have shown, each on its newest rig; undefined while they are fetched. */
export function useOthers(trial: string): {
  columns: readonly UnitColumn[]
  ready: boolean
  failed: boolean
} {
  const { data } = api.useTrialsQuery({ by: 'lastAt', limit: mostTrials })
  const dispatch = useAppDispatch()
  const [columns, setColumns] = useState<readonly UnitColumn[]>([])
  const [state, setState] = useState<'fetching' | 'ready' | 'failed'>('fetching')
  useEffect(() => {
    if (!data) return undefined
    let stale = false
    // Of each unit on each rig the latest.
    const lines = data.trials
      .filter(({ id, entries }) => id !== trial && entries > 0)
      .filter(({ unit, rig }, i, all) => all.findIndex((one) => one.unit === unit && one.rig === rig) === i)
      .slice(0, mostOthers)
    const look = async () => {
      for (const { id } of lines) {
        const document = await dispatch(api.endpoints.document.initiate(id, { subscribe: false })).unwrap()
        if (stale) return
        const newest = viewTrial(document.trial, document.entries).analyses.at(-1)
        if (!newest) continue
        const { unit, rig } = newest.record.revision
        setColumns((known) => [
          ...known.filter((one) => one.id !== id),
          { id, unit: unit.name, rig: rig.name, ground: startGround(newest) },
        ])
      }
      setState('ready')
    }
    void look().catch(() => setState('failed'))
    return () => {
      stale = true
    }
  }, [data, trial, dispatch])
  return { columns, ready: state === 'ready', failed: state === 'failed' }
}
