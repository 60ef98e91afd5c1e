import type { LadderPlanned, StoredLoad, Taken } from '@even-watt/contract'
import { asPlanned, frozenPlan, repredicted, shelfFor, type Shelf } from '@even-watt/core'
import { useMemo } from 'react'
import { api } from '../api/api'
import { type TrialState } from '../trials/useTrial'

const noLoads: readonly StoredLoad[] = []
const noneTaken: readonly Taken[] = []
const noneOut: readonly string[] = []

export interface PlanShelf {
  /** All loads of the tester, whatever they are made for; those of the plan as they stood when it was saved. */
  readonly loads: readonly StoredLoad[]
  /** Those that may take part, without the ones left out. */
  readonly shelfWithout: (excluded: readonly string[]) => Shelf
  readonly shelf: Shelf
  /** Those that may take part if none were left out. */
  readonly whole: Shelf
  /** A plan to be saved, with the loads of its steps as they stand now. */
  readonly freeze: (plan: LadderPlanned) => LadderPlanned
  /** The trial's plan with what each step is expected to take as things stand; undefined: none yet. */
  readonly plan: LadderPlanned | undefined
}

/** The load shelf as the trial's unit can use it, and the plan made from it, predicted anew after every reading. */
export function useShelf({ trial, analysis }: Pick<TrialState, 'trial' | 'analysis'>): PlanShelf {
  const { data: loads = noLoads } = api.useLoadsQuery()
  const { data: taken = noneTaken } = api.useTakenQuery()
  const { outputVoltage } = analysis.record.revision.unit
  const { plan } = trial
  return useMemo(() => {
    const now = { loads, taken }
    const planned = asPlanned(plan, now)
    // What is chosen is chosen from the shelf as it is now; only what is no longer on it stands as it was.
    const gone = (plan?.loads ?? []).filter(({ id }) => !loads.some((load) => load.id === id))
    const shelfWithout = (excluded: readonly string[]) =>
      shelfFor([...loads, ...gone], [...taken, ...(plan?.taken ?? [])], excluded, outputVoltage)
    const whole = shelfFor(planned.loads, planned.taken, noneOut, outputVoltage)
    return {
      loads: planned.loads,
      whole,
      shelfWithout,
      shelf: shelfWithout(plan?.excluded ?? noneOut),
      freeze: (next: LadderPlanned) => frozenPlan(next, now),
      // Steps may hold loads that were left out since: they are predicted from the whole shelf.
      plan: plan && repredicted(plan, analysis, whole),
    }
  }, [loads, taken, outputVoltage, plan, analysis])
}
