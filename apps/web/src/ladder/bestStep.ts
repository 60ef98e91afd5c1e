import { decides, type Analysis } from '@even-watt/core'

/** The step of the highest efficiency among those that tell one; of a single step nobody says so. */
export function bestStep(steps: Analysis['ladder']['steps']): string | undefined {
  const told = steps.flatMap(({ step, carried, eta_unit }) =>
    carried && decides(eta_unit) ? [{ id: step.id, eta: eta_unit.x.value }] : [],
  )
  if (told.length < 2) return undefined
  return told.reduce((most, one) => (one.eta > most.eta ? one : most)).id
}
