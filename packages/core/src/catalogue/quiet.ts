import type { HeldFigure, OnRig } from '../held'
import { canBeHeldAgainst, heldOfRig, heldOfStep } from '../held'
import type { StepFigures } from '../ladder'
import { catalogue, type Catalogue } from './catalogue'

/** A figure of the catalogue with what it is held against. */
export interface HeldById extends HeldFigure {
  readonly id: string
}

/** What stands beside the readings of a step without being asked. */
export const quietOfStep = (step: StepFigures, on: OnRig, from: Catalogue = catalogue): HeldById[] =>
  from.steps.flatMap((one) =>
    one.quietly ? [{ id: one.id, ...heldOfStep(one, step, on, one.quietly) }] : [],
  )

/** The same of figures of a rig, on the page where they are shown. */
export const quietOnPage = (page: string, on: OnRig, from: Catalogue = catalogue): HeldById[] =>
  from.rigs.flatMap((one) =>
    one.page === page && one.quietly ? [{ id: one.id, ...heldOfRig(one, on, one.quietly) }] : [],
  )

/** Every figure of a step, held against all that it can be: shown when it is asked for. */
export const allOfStep = (step: StepFigures, on: OnRig, from: Catalogue = catalogue): HeldById[] =>
  from.steps.map((one) => ({ id: one.id, ...heldOfStep(one, step, on, canBeHeldAgainst(one)) }))

/** The same of the figures of a rig on one page. */
export const allOnPage = (page: string, on: OnRig, from: Catalogue = catalogue): HeldById[] =>
  from.rigs.flatMap((one) =>
    one.page === page ? [{ id: one.id, ...heldOfRig(one, on, canBeHeldAgainst(one)) }] : [],
  )
