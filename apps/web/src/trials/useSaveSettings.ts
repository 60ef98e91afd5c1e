import { TrialSettings, type Problem } from '@even-watt/contract'
import { useState } from 'react'
import { parse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'
import { useTrial } from './useTrial'

/** What may be edited of a trial, without the rest of it. */
const settingsOf = (trial: TrialSettings): TrialSettings => parse(TrialSettings, trial)

/** Saves a change to what may be edited of a trial; a conflict with another tab is shown, not overwritten. */
export function useSaveSettings(): {
  save: (patch: Partial<TrialSettings>) => Promise<boolean>
  problem: Problem | undefined
} {
  const { trial } = useTrial()
  const [send] = api.useSaveTrialMutation()
  const [problem, setProblem] = useState<Problem>()
  const save = async (patch: Partial<TrialSettings>) => {
    const settings = settingsOf({ ...trial, ...patch })
    try {
      await send({ id: trial.id, editedFrom: trial.version, settings }).unwrap()
      setProblem(undefined)
      answer('Saved.')
      return true
    } catch (error) {
      setProblem(problemOf(error))
      return false
    }
  }
  return { save, problem }
}
