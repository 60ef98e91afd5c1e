import type { LadderPlanned, StoredLoad, Taken } from '@even-watt/contract'

/** A load shelf and what is known of what its settings take. */
export interface Known {
  readonly loads: readonly StoredLoad[]
  readonly taken: readonly Taken[]
}

const settingsOf = (loads: readonly StoredLoad[]) =>
  new Set(loads.flatMap(({ settings }) => settings.map(({ id }) => id)))

/**
 * The plan with the loads of its steps as they stand now, so that it says the same on any other bench and whatever
 * becomes of the shelf. Loads that are not on the shelf stay as they were frozen before.
 */
export function frozenPlan(plan: LadderPlanned, { loads, taken }: Known): LadderPlanned {
  const used = new Set(plan.steps.flatMap(({ uses }) => uses.map(({ load }) => load)))
  const here = loads.filter(({ id }) => used.has(id))
  const gone = (plan.loads ?? []).filter(({ id }) => used.has(id) && !here.some((load) => load.id === id))
  const kept = settingsOf(gone)
  const current = settingsOf(here)
  return {
    ...plan,
    loads: [...here, ...gone],
    taken: [
      ...taken.filter(({ setting }) => current.has(setting)),
      ...(plan.taken ?? []).filter(({ setting }) => kept.has(setting)),
    ],
  }
}

/** The shelf as a plan knows it: loads frozen with the plan as they were then, all others as they are now. */
export function asPlanned(plan: LadderPlanned | undefined, { loads, taken }: Known): Known {
  const frozen = plan?.loads ?? []
  const ids = new Set(frozen.map(({ id }) => id))
  const settings = settingsOf(frozen)
  return {
    loads: [...frozen, ...loads.filter(({ id }) => !ids.has(id))],
    taken: [...(plan?.taken ?? []), ...taken.filter(({ setting }) => !settings.has(setting))],
  }
}
