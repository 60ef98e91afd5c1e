import type { Chosen, HeldReference } from '@even-watt/contract'
import type { Figured } from '../figured'
import { furthest, type Derived, type FigureUnit } from '../figures'
import { heldOfRig, heldOfStep, toldAs, type HeldFigure, type OnRig } from '../held'
import type { StepFigures } from '../ladder'
import { catalogue, type Catalogue } from './catalogue'

/** How a reference stands at the head of a column. */
const shortly: Readonly<Record<HeldReference, string>> = {
  'nominal or rated': 'nominal',
  'the mains here': 'mains',
  'nothing connected': 'no load',
  'the step before': 'step before',
  'the promise': 'promise',
  'the rig before': 'rig before',
  expected: 'plan',
}

/** What was chosen as a figure of steps, else of a rig; undefined: another version knew it. */
export const figuredIn = ({ figure }: Chosen, from: Catalogue = catalogue): Figured | undefined =>
  from.step(figure) ?? from.rig(figure)

/** The unit in which what was chosen is told. */
export function unitOfChosen(chosen: Chosen, from: Catalogue = catalogue): FigureUnit {
  const unit = figuredIn(chosen, from)?.unit ?? ''
  return chosen.held && chosen.held.as !== 'difference' ? '%' : unit
}

/** "V out", and below it what it is held against: "from no load". */
export function headOf(chosen: Chosen, from: Catalogue = catalogue): readonly [string, string?] {
  const head = figuredIn(chosen, from)?.head ?? chosen.figure
  if (!chosen.held) return [head]
  const { as, against } = chosen.held
  return [head, `${as === 'share' ? 'of' : 'from'} ${shortly[against]}`]
}

/** "volts at the outlet", "volts at the outlet, from nothing connected, per cent". */
export function sayChosen(chosen: Chosen, from: Catalogue = catalogue): string {
  const words = figuredIn(chosen, from)?.words ?? chosen.figure
  if (!chosen.held) return words
  const { as, against } = chosen.held
  return as === 'share'
    ? `${words} as a share of ${against}`
    : `${words} from ${against}${as === 'per cent' ? ' in per cent' : ''}`
}

const unknown = (kind: string): Derived => ({ missing: `No ${kind} of that name is worked out here.` })

/** What was chosen of a held figure. */
function told({ figure, held }: HeldFigure, chosen: Chosen): Derived {
  if (!chosen.held) return figure
  const [one] = held
  return one ? toldAs(one, chosen.held.as) : { missing: 'It is held against nothing of the kind.' }
}

const by = ({ held }: Chosen): HeldReference[] => (held ? [held.against] : [])

/** What was chosen, of one step. */
export function chosenAtStep(
  chosen: Chosen,
  step: StepFigures,
  on: OnRig,
  from: Catalogue = catalogue,
): Derived {
  const figured = from.step(chosen.figure)
  return figured ? told(heldOfStep(figured, step, on, by(chosen)), chosen) : unknown('figure of a step')
}

/** What was chosen with nothing connected; undefined: it has no meaning there. */
export function chosenAtNoLoad(
  chosen: Chosen,
  { analysis }: OnRig,
  from: Catalogue = catalogue,
): Derived | undefined {
  return chosen.held ? undefined : from.step(chosen.figure)?.atNoLoad?.(analysis)
}

/** What was chosen, of a rig; of a figure of steps the highest or the lowest over the loads that were carried. */
export function chosenOnRig(
  chosen: Chosen,
  on: OnRig,
  over: 'highest' | 'lowest' = 'highest',
  from: Catalogue = catalogue,
): Derived {
  const figured = from.rig(chosen.figure)
  if (figured) return told(heldOfRig(figured, on, by(chosen)), chosen)
  if (!from.step(chosen.figure)) return unknown('figure')
  const carried = on.analysis.ladder.steps.filter((step) => step.carried)
  return furthest(
    over,
    carried.map((step) => chosenAtStep(chosen, step, on, from)),
    'No step that was carried has it.',
  )
}
