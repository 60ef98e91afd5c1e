import type { OwnRow } from '@even-watt/contract'
import type { Derived } from '../figures'
import type { OnRig } from '../held'
import { acrossLoads, type Criterion } from '../comparisons'
import { catalogue, type Catalogue } from './catalogue'
import { chosenAtStep, chosenOnRig, figuredIn, sayChosen } from './chosen'

/** "volts at the outlet, lowest". */
export const sayRow = ({ of, over }: OwnRow, from: Catalogue = catalogue): string =>
  [sayChosen(of, from), over].filter(Boolean).join(', ')

/** Figures of the catalogue as rows of a comparison: of figures of steps the highest or the lowest over loads that all carried. */
export const rowsOf = (rows: readonly OwnRow[], from: Catalogue = catalogue): Criterion[] =>
  rows.map((row) => {
    const { of: chosen, over = 'highest' } = row
    const { better, asTried } = figuredIn(chosen, from) ?? {}
    return {
      key: `own ${sayRow(row, from)}`,
      words: sayRow(row, from),
      ...(asTried ? {} : better && !chosen.held ? { better } : { neutral: true as const }),
      of: (one, _hours, beside) =>
        from.step(chosen.figure)
          ? acrossLoads(
              over,
              one,
              beside,
              (step, { analysis }) => chosenAtStep(chosen, step, { analysis }, from),
              'No step that was carried has it.',
            )
          : chosenOnRig(chosen, { analysis: one.analysis }, over, from),
    }
  })

/** The same on one rig, as a card has it. */
export const rowOnRig = ({ of, over = 'highest' }: OwnRow, on: OnRig, from: Catalogue = catalogue): Derived =>
  chosenOnRig(of, on, over, from)
