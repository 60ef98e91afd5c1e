import type { Figured, RigFigured, StepFigured } from '../figured'
import type { Subject } from '../subject'
import { subjects } from '../subjects'

/** Every figure that the product works out, each under its name (docs/method/catalogue.md). */
export interface Catalogue {
  readonly all: readonly Figured[]
  readonly steps: readonly StepFigured[]
  readonly rigs: readonly RigFigured[]
  readonly step: (id: string) => StepFigured | undefined
  readonly rig: (id: string) => RigFigured | undefined
}

/** The figures of some subjects, in their order. */
export function catalogueOf(brought: readonly Subject[]): Catalogue {
  const all = brought.flatMap(({ figures = [] }) => figures)
  const steps = all.flatMap((one) => (one.per === 'step' ? [one] : []))
  const rigs = all.flatMap((one) => (one.per === 'rig' ? [one] : []))
  const [step, rig] = [byId(steps), byId(rigs)]
  return { all, steps, rigs, step: (id) => step.get(id), rig: (id) => rig.get(id) }
}

const byId = <T extends Figured>(all: readonly T[]): ReadonlyMap<string, T> =>
  new Map(all.map((one) => [one.id, one]))

export const catalogue = catalogueOf(subjects)
