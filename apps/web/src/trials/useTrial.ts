import type { Entry, Trial } from '@even-watt/contract'
import { viewTrial, workOut, type Analysis, type TrialView } from '@even-watt/core'
import { createContext, useContext, useEffect, useMemo, useState } from 'react'
import { api, type Followed } from '../api/api'
import { useAppSelector } from '../store'
import { inSlices } from '../ui/inSlices'
import type { QueryState } from '../ui/Loaded'

export interface TrialState {
  readonly trial: Trial
  readonly entries: readonly Entry[]
  readonly view: TrialView
  /** The last view of which all is worked out, findings and oddities too; for a moment it may be one of before. */
  readonly worked: TrialView | undefined
  /** Ids of entries the server has not acknowledged. */
  readonly unsent: ReadonlySet<string>
  /** The rig revision on screen. */
  readonly analysis: Analysis
  readonly chooseRevision: (number: number) => void
}

export const TrialContext = createContext<TrialState | undefined>(undefined)

/** The trial of the screen; only below the trial's layout. */
export function useTrial(): TrialState {
  const state = useContext(TrialContext)
  if (!state) throw new Error('useTrial is used outside a trial.')
  return state
}

const none: readonly Entry[] = []

/** What the server has and what still waits here, as one record, with everything derived from it. */
export function useTrialView(
  trial: Trial,
): Pick<TrialState, 'entries' | 'view' | 'unsent'> & { query: QueryState<Followed> } {
  // What is new comes by itself while the trial is followed.
  const query = api.useEntriesQuery(trial.id, { refetchOnFocus: false, refetchOnReconnect: false })
  const waiting = useAppSelector((state) => state.outbox.unsent)
  const stored = query.data?.entries ?? none
  const { entries, unsent } = useMemo(() => {
    const here = new Set(stored.map((entry) => entry.id))
    const pending = waiting
      .filter((item) => item.trial === trial.id && !here.has(item.entry.id))
      .map((item) => item.entry)
    return {
      entries: pending.length ? [...stored, ...pending] : stored,
      unsent: new Set(pending.map((entry) => entry.id)),
    }
  }, [stored, waiting, trial.id])
  const view = useMemo(() => viewTrial(trial, entries), [trial, entries])
  return { query, entries, unsent, view }
}

/** The last view of which all is worked out; work on the newest goes on between frames. */
export function useWorked(trial: Trial, view: TrialView): TrialView | undefined {
  const [worked, setWorked] = useState<TrialView>()
  useEffect(() => inSlices(workOut(view, trial), () => setWorked(view)), [view, trial])
  return worked
}
