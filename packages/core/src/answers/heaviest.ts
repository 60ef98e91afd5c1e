import { decides, isFigure, type Derived, type Figure } from '../figures'
import type { StepFigures } from '../ladder'
import type { Analysis } from '../trials'

/** Of the steps that were carried, the one of most watts of which something may decide, or what else counts here. */
export function heaviestWith(
  { ladder }: Analysis,
  of: (step: StepFigures) => Derived,
  counts: (figure: Derived) => boolean = decides,
): { readonly step: StepFigures; readonly figure: Figure; readonly P: Figure | undefined } | undefined {
  const watts = ({ P_C, read }: StepFigures) =>
    isFigure(P_C) ? P_C.x.value : isFigure(read.I) ? read.I.x.value : 0
  const known = ladder.steps
    .filter((step) => step.carried && counts(of(step)))
    .sort((a, b) => watts(b) - watts(a))
  const [step] = known
  const figure = step && of(step)
  return step && figure && isFigure(figure)
    ? { step, figure, P: isFigure(step.P_C) ? step.P_C : undefined }
    : undefined
}

/** "at 855 W", by the load’s name where its watts were not read. */
export const atLoad = (P: Figure | undefined, load: string): readonly (string | Figure)[] =>
  P ? [' at ', P] : [` with ${load}`]
