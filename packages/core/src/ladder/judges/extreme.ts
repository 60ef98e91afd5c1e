import { decides, isFigure, type Derived, type Figure } from '../../figures'
import type { Evidence } from '../../findings'
import type { StepFigures } from '../step'

/** A figure, and the step that it was read at; no step: at no load. */
export interface Extreme {
  readonly figure: Figure
  readonly at: StepFigures | undefined
}

/** What is looked at over the loads. */
export interface Look {
  readonly of: (step: StepFigures) => Derived
  /** The same at no load, where that counts too. */
  readonly atNoLoad?: Derived
  /** By what of its value a figure is further out than another; absent: by its size. */
  readonly measure?: (x: number) => number
}

/**
 * The figure that is furthest out over the steps that were carried and count, and no load; those that may decide come first.
 * Undefined: there is none.
 */
export function worst(
  { analysis }: Pick<Evidence, 'analysis'>,
  { of, atNoLoad, measure = Math.abs }: Look,
  counts: (step: StepFigures) => boolean = () => true,
): Extreme | undefined {
  const carried = analysis.ladder.steps.filter((step) => step.carried && counts(step))
  const seen = [
    ...carried.map((at) => ({ figure: of(at), at })),
    ...(atNoLoad ? [{ figure: atNoLoad, at: undefined }] : []),
  ].flatMap(({ figure, at }): Extreme[] => (isFigure(figure) ? [{ figure, at }] : []))
  const deciding = seen.filter(({ figure }) => decides(figure))
  return (deciding.length ? deciding : seen).reduce<Extreme | undefined>(
    (most, one) => (!most || measure(one.figure.x.value) > measure(most.figure.x.value) ? one : most),
    undefined,
  )
}
