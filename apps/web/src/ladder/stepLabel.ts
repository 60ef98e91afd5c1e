import { isFigure, type StepFigures } from '@even-watt/core'

/** Share of the rating in %, or the number of the step where either is unknown. */
export function stepLabel(figures: StepFigures, rated: number | undefined, i: number): string {
  return rated && isFigure(figures.P_C)
    ? String(Math.round((figures.P_C.x.value / rated) * 100))
    : `#${i + 1}`
}
