import type { Oddity, OddityContext } from '../../oddities'
import { remembering } from '../../remember'
import type { Analysis } from '../../trials'
import type { StepFigures } from '../step'

/** Where an oddity of a step stands. */
export function placeOfStep(step: StepFigures, analysis: Analysis): Oddity['at'] {
  const entry = step.step.readings.at(-1)?.id
  return {
    revision: analysis.record.revision.number,
    step: step.step.id,
    ...(entry === undefined ? {} : { entry }),
  }
}

/**
 * Looks at each step by itself; what was found at one is kept while its figures are the very same, and so are the
 * parts of the analysis that are looked at beside them.
 */
export function eachStep<Found extends Oddity>(
  find: (step: StepFigures, analysis: Analysis) => Found[],
  beside: (analysis: Analysis) => readonly unknown[] = () => [],
): (context: OddityContext) => Found[] {
  const found = remembering<StepFigures, Found[]>()
  return ({ analysis }) => {
    const parts = [analysis.record.revision, ...beside(analysis)]
    return analysis.ladder.steps.flatMap((step) => found(step, parts, () => find(step, analysis)))
  }
}
