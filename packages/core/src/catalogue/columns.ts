import type { Chosen } from '@even-watt/contract'
import type { Derived } from '../figures'
import type { OnRig } from '../held'
import type { StepFigures } from '../ladder'
import { remembering } from '../remember'
import { catalogue, type Catalogue } from './catalogue'
import { chosenAtStep } from './chosen'

const same = remembering<StepFigures, readonly Derived[]>()

/** The cells of a step under columns of the tester’s own: the very same while nothing that they rest on changed. */
export const columnCells = (
  columns: readonly Chosen[],
  step: StepFigures,
  on: OnRig,
  from: Catalogue = catalogue,
): readonly Derived[] =>
  same(step, [columns, on.analysis, on.before, on.mains?.volts, on.mains?.hertz], () =>
    columns.map((chosen) => chosenAtStep(chosen, step, on, from)),
  )
