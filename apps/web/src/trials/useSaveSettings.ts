import type { Problem, TrialSettings } from '@even-watt/contract'
import { useState } from 'react'
import { api, problemOf } from '../api/api'
import { useTrial } from './useTrial'

/** Saves a change to what may be edited of a trial; a conflict with another tab is shown, not overwritten. */
export function useSaveSettings(): {
  save: (patch: Partial<TrialSettings>) => Promise<boolean>
  problem: Problem | undefined
} {
  const { trial } = useTrial()
  const [send] = api.useSaveTrialMutation()
  const [problem, setProblem] = useState<Problem>()
  const save = async (patch: Partial<TrialSettings>) => {
    const { title, by, purpose, hold, duty, limiters, plan } = trial
    const settings = {
      title,
      by,
      ...(purpose === undefined ? {} : { purpose }),
      hold,
      duty,
      limiters,
      ...(plan === undefined ? {} : { plan }),
      ...patch,
    }
    try {
      await send({ id: trial.id, editedFrom: trial.version, settings }).unwrap()
      setProblem(undefined)
      return true
    } catch (error) {
      setProblem(problemOf(error))
      return false
    }
  }
  return { save, problem }
}
