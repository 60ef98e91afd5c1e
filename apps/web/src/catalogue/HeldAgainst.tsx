import { heldReferences, type Chosen, type HeldWay } from '@even-watt/contract'
import { decides, expanded, isFigure, sayChosen, tellable, type HeldById } from '@even-watt/core'
import { Fig } from '../ui/Fig'
import type { ColumnsState } from './useColumns'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly of: readonly HeldById[]
  /** Where a click makes a column of the table of steps. */
  readonly columns?: ColumnsState
}

/** Figures beside what they are naturally held against: difference, per cent, share of a rating. */
export function HeldAgainst({ of, columns: pinned }: Props) {
  const known = new Set(tellable(of).map(({ words }) => words))
  const figures = of.filter(({ words }) => known.has(words))
  if (!figures.length) return null
  const told = new Set(tellable(figures).flatMap(({ held }) => held.map(({ against }) => against)))
  const columns = heldReferences.filter((against) => told.has(against))
  return (
    <FitTable aria-label="Held against">
      <thead>
        <tr>
          <th>held against</th>
          <th className="right">read</th>
          {columns.map((column) => (
            <th key={column} className="right">
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {figures.map(({ id, words, figure, held }) => (
          <tr key={words}>
            <th scope="row">{words}</th>
            <td className="right">
              <Fig of={figure} withUnit bare={2} />
            </td>
            {columns.map((column) => (
              <td key={column} className="right">
                <Cell of={held.find(({ against }) => against === column)} figure={id} pinned={pinned} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </FitTable>
  )
}

type Held = HeldById['held'][number]

interface CellProps {
  readonly of: Held | undefined
  readonly figure: string
  readonly pinned: ColumnsState | undefined
}

function Cell({ of, figure, pinned }: CellProps) {
  if (!of || !isFigure(of.difference)) return null
  const { difference, percent, share, shareAlone, against } = of
  // By no more than it is unsure, nobody can say that it is over.
  const over = share && !shareAlone && difference.x.value > expanded(difference.x)
  const pin = (as: HeldWay) => pinned && <Pin chosen={{ figure, held: { against, as } }} state={pinned} />
  return (
    <span className="group inline-flex flex-wrap justify-end gap-x-2">
      {over && (
        <span className="text-ochre">
          ▲ {decides(difference) ? 'over it' : 'over it, by what was not measured'}
        </span>
      )}
      {!shareAlone && (
        <span className="whitespace-nowrap">
          <Fig of={difference} withUnit signed bare={2} />
          {pin('difference')}
        </span>
      )}
      {share ? (
        <span className="text-quiet whitespace-nowrap">
          <Fig of={share} withUnit bare={2} /> of it{pin('share')}
        </span>
      ) : (
        percent && (
          <span className="text-quiet whitespace-nowrap">
            <Fig of={percent} withUnit signed bare={2} />
            {pin('per cent')}
          </span>
        )
      )}
    </span>
  )
}

/** Keeps what is held against something as a column of the table, the report and the CSV. */
function Pin({ chosen, state }: { readonly chosen: Chosen; readonly state: ColumnsState }) {
  const isIn = state.has(chosen)
  return (
    <button
      type="button"
      className={`no-print px-0.5 ${isIn ? 'font-bold' : 'text-quiet opacity-0 group-hover:opacity-100 focus:opacity-100 pointer-coarse:opacity-100'}`}
      aria-pressed={isIn}
      aria-label={`As a column: ${sayChosen(chosen)}`}
      title={isIn ? 'Take this column out' : 'Make it a column of the table, the report and the CSV'}
      onClick={() => (isIn ? state.remove(chosen) : state.add(chosen))}
    >
      {isIn ? '−' : '+'}
    </button>
  )
}
