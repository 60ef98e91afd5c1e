import type { Entry, Trial } from '@even-watt/contract'
import { viewTrial, type Analysis, type TrialView } from '@even-watt/core'
import { createContext, useContext, useMemo } from 'react'
import { api } from '../api/api'
import { useAppSelector } from '../store'
import type { QueryState } from '../ui/Loaded'

export interface TrialState {
  readonly trial: Trial
  readonly entries: readonly Entry[]
  readonly view: TrialView
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
): Pick<TrialState, 'entries' | 'view' | 'unsent'> & { query: QueryState<Entry[]> } {
  const query = api.useEntriesQuery(trial.id)
  const waiting = useAppSelector((state) => state.outbox.unsent)
  const stored = query.data ?? none
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
