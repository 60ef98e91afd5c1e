import { api } from '../api/api'
import type { TrialState } from '../trials/useTrial'

interface Other {
  readonly id: string
  readonly title: string
}
const none: readonly Other[] = []

/** Other trials of the unit of this one. */
export function useOtherTrials({ trial, analysis }: TrialState): readonly Other[] {
  const { data } = api.useUnitLifeQuery(analysis.record.revision.unit.id)
  return data?.trials.filter(({ id, away }) => id !== trial.id && !away) ?? none
}
