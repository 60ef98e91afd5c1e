import { loadsToPredict, sayUses, type Analysis, type LoadToPredict } from '@even-watt/core'
import { useMemo } from 'react'
import { api } from '../../api/api'
import { useTrial } from '../../trials/useTrial'
import { useUnitQuestion } from '../atOnce/useUnitQuestion'

/** The steps of the ladder and those still planned, to predict what a change of the rig does to them. */
export function useLoadsToPredict(analysis: Analysis): LoadToPredict[] {
  const { trial } = useTrial()
  const { data: shelf = [] } = api.useLoadsQuery()
  const { loss } = useUnitQuestion(analysis)
  return useMemo(() => {
    const planned = (trial.plan?.steps ?? []).map(({ uses, expected }) => ({
      load: `planned: ${sayUses(shelf, uses)}`,
      watts: expected,
    }))
    return loadsToPredict(analysis.ladder.steps, planned, loss)
  }, [analysis, trial.plan, shelf, loss])
}
