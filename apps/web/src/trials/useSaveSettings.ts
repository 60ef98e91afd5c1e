import { TrialSettings, type Problem, type Trial } from '@even-watt/contract'
import { useState } from 'react'
import { parse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { lastSaves } from '../api/savedLast'
import { store, useAppDispatch } from '../store'
import { answer } from '../ui/answers'
import { useTrial } from './useTrial'

type Patch = Partial<TrialSettings>

/** What may be edited of a trial, without the rest of it. */
const settingsOf = (trial: TrialSettings): TrialSettings => parse(TrialSettings, trial)

/**
 * Saves a change to what may be edited of a trial. It stands on screen at once, so that the next key builds on it; a
 * conflict with another tab is shown, not overwritten.
 */
export function useSaveSettings(): {
  /** What is changed; as a function it is asked of what stands by then, which the screen may not show yet. */
  save: (patch: Patch | ((now: TrialSettings) => Patch)) => Promise<boolean>
  problem: Problem | undefined
} {
  const { trial } = useTrial()
  const dispatch = useAppDispatch()
  const [send] = api.useSaveTrialMutation()
  const [problem, setProblem] = useState<Problem>()
  const show = (change: Partial<Trial>) =>
    dispatch(api.util.updateQueryData('trial', trial.id, (shown) => ({ ...shown, ...change })))
  // What saves may have waited for a search meanwhile: it builds on what stands now, not on what stood when it began.
  const current = () => api.endpoints.trial.select(trial.id)(store.getState()).data ?? trial
  const save = async (patch: Patch | ((now: TrialSettings) => Patch)) => {
    const before = lastSaves.get(trial.id)
    const now = current()
    const settings = settingsOf({ ...now, ...(typeof patch === 'function' ? patch(now) : patch) })
    show(settings)
    const sent = (async () => {
      await before?.done.catch(() => undefined)
      const editedFrom = Math.max(now.version, lastSaves.get(trial.id)?.version ?? 0)
      return send({ id: trial.id, editedFrom, settings }).unwrap()
    })()
    lastSaves.set(trial.id, { done: sent, pending: true, version: before?.version ?? 0, wanted: settings })
    try {
      const { version } = await sent
      const last = lastSaves.get(trial.id)
      if (!last) return true
      // What came back may be one change behind, and what is shown older still.
      const pending = last.done !== sent
      lastSaves.set(trial.id, { ...last, pending, version })
      show({ ...last.wanted, version })
      if (pending) return true
      setProblem(undefined)
      answer('Saved.')
      return true
    } catch (error) {
      if (lastSaves.get(trial.id)?.done === sent) lastSaves.delete(trial.id)
      dispatch(api.util.invalidateTags([{ type: 'trial', id: trial.id }]))
      setProblem(problemOf(error))
      return false
    }
  }
  return { save, problem }
}
