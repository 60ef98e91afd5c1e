import type { Chosen } from '@even-watt/contract'
import type { StepFigured } from '../figured'
import { isFigure, showFigure, type Derived, type FigureUnit } from '../figures'
import type { OnRig } from '../held'
import type { StepFigures } from '../ladder'
import { catalogue, type Catalogue } from './catalogue'
import { chosenAtStep, sayChosen, unitOfChosen } from './chosen'

/** What cells of figures are made of: shown as on screen, with a minus that a spreadsheet reads. */
const cell = (text: string): number => Number(text.replace('−', '-'))

const withUnit = (words: string, unit: FigureUnit) => (unit ? `${words} [${unit}]` : words)

const headsOf = (words: string, unit: FigureUnit) =>
  [withUnit(words, unit), withUnit(`U of ${words}`, unit), `${words} decides nothing`] as const

function cellsOf(
  words: string,
  unit: FigureUnit,
  figure: Derived,
): (readonly [string, string | number | undefined])[] {
  if (!isFigure(figure)) return []
  const [head, U, why] = headsOf(words, unit)
  const { value, uncertainty } = showFigure(figure)
  const doubt = figure.refused?.why ?? (figure.grade === 'measured' ? undefined : figure.grade)
  return [
    [head, cell(value)],
    [U, uncertainty === undefined ? undefined : cell(uncertainty)],
    ...(doubt === undefined ? [] : [[why, doubt] as const]),
  ]
}

/** Quantities have their symbol before their words: "V_C volts at the outlet". */
const nameOf = ({ words, id }: StepFigured) =>
  /^(?:[A-Z]{1,3}(?:_[A-Z])?|f)$/.test(id) ? `${id} ${words}` : words

/** Headings of every figure of a step, and of columns of the tester’s own. */
export const stepHeads = (columns: readonly Chosen[], from: Catalogue = catalogue): readonly string[] => [
  ...from.steps.flatMap((one) => headsOf(nameOf(one), one.unit)),
  ...held(columns).flatMap((chosen) => headsOf(sayChosen(chosen, from), unitOfChosen(chosen, from))),
]

/** Those that are held against something: the rest is there already. */
const held = (columns: readonly Chosen[]) => columns.filter((chosen) => chosen.held)

/**
 * Every figure of a step with its expanded uncertainty (k = 2) and, where it decides nothing, why; and the tester’s own columns.
 * What is missing has no cells.
 */
export const stepCells = (
  step: StepFigures,
  on: OnRig,
  columns: readonly Chosen[],
  from: Catalogue = catalogue,
): Readonly<Record<string, string | number | undefined>> =>
  Object.fromEntries([
    ...from.steps.flatMap((one) => cellsOf(nameOf(one), one.unit, one.of(step, on.analysis))),
    ...held(columns).flatMap((chosen) =>
      cellsOf(sayChosen(chosen, from), unitOfChosen(chosen, from), chosenAtStep(chosen, step, on, from)),
    ),
  ])
