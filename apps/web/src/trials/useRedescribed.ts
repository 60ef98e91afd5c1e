import type { NewRevision, Problem } from '@even-watt/contract'
import { useState } from 'react'
import { api, problemOf } from '../api/api'
import { useTrial } from './useTrial'

/** What is described otherwise from now on; what is not named stays as it is. */
type Redescribed = Partial<Pick<NewRevision, 'rig' | 'unit'>>

/** Takes a better description into the trial: a revision that touched nothing on the bench, so that all that was read stands on. */
export function useRedescribed() {
  const { trial, chooseRevision } = useTrial()
  const [add, { isLoading: busy }] = api.useAddRevisionMutation()
  const [problem, setProblem] = useState<Problem>()
  const newest = trial.revisions.at(-1)
  /** Resolves with whether it was taken. `first` is done before, and its failure is told as well. */
  const take = async (why: string, how: Redescribed, first?: () => Promise<unknown>): Promise<boolean> => {
    if (!newest) return false
    setProblem(undefined)
    try {
      await first?.()
      await add({ trial: trial.id, after: newest.number, why, touched: [], rig: newest.rig, ...how }).unwrap()
      chooseRevision(newest.number + 1)
      return true
    } catch (error) {
      setProblem(problemOf(error))
      return false
    }
  }
  return { newest, take, busy, problem }
}
