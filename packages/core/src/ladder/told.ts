import { decides, type Derived } from '../figures'
import type { LadderAnalysis } from './analysis'
import type { LossFit, NoCurve } from './lossFit'
import type { StepFigures } from './step'

/** What a ladder tells of: the unit alone, or the unit together with its leads. */
export interface Told {
  readonly of: 'unit' | 'unit and leads'
  readonly fit: LossFit | NoCurve
  readonly efficiency: (step: StepFigures) => Derived
  readonly loss: (step: StepFigures) => Derived
}

/**
 * The unit alone where any step has its efficiency from what was read; where only the posts were read, from them on, leads
 * and all (docs/method/ladder.md).
 */
export function toldBy({ steps, unitFit, systemFit }: LadderAnalysis): Told {
  const posts =
    !steps.some(({ eta_unit }) => decides(eta_unit)) && steps.some(({ eta_system }) => decides(eta_system))
  return posts
    ? {
        of: 'unit and leads',
        fit: systemFit,
        efficiency: ({ eta_system }) => eta_system,
        loss: ({ P_systemLoss }) => P_systemLoss,
      }
    : { of: 'unit', fit: unitFit, efficiency: ({ eta_unit }) => eta_unit, loss: ({ P_loss }) => P_loss }
}
