import type { OwnRow } from '@even-watt/contract'
import { isFigure, type Derived } from '../figures'
import type { OnRig } from '../held'
import { acrossLoads, type Compared, type Criterion } from '../comparisons'
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

/** Rows that stand in a comparison where any of those compared has them, whatever its tester chose. */
const usualRows: readonly OwnRow[] = (
  [
    'idle Wh a day',
    'idle days',
    'surge',
    'gave out',
    'lowest volts in a start',
    'hottest',
    'loudest',
  ] as const
).map((figure) => ({ of: { figure } }))

/** Rows of a comparison besides those that every one has: the usual ones that tell something, then the tester’s own. */
export function comparedRows(list: readonly Compared[], own: readonly OwnRow[]): Criterion[] {
  const chosen = new Set(own.map((row) => sayRow(row)))
  const telling = rowsOf(usualRows.filter((row) => !chosen.has(sayRow(row)))).filter(({ of }) =>
    list.some((one) => isFigure(of(one, [], list))),
  )
  return [...telling, ...rowsOf(own)]
}
