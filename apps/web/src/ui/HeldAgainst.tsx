import { decides, expanded, isFigure, tellable, type HeldFigure } from '@even-watt/core'
import { Fig } from './Fig'

/** Figures beside what they are naturally held against: difference, per cent, share of a rating. */
export function HeldAgainst({ of }: { readonly of: readonly HeldFigure[] }) {
  const figures = tellable(of)
  if (!figures.length) return null
  const columns = [...new Set(figures.flatMap(({ held }) => held.map(({ against }) => against)))]
  return (
    <div className="overflow-x-auto">
      <table className="list-table" aria-label="Held against">
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
          {figures.map(({ words, figure, held }) => (
            <tr key={words}>
              <th scope="row">{words}</th>
              <td className="right">
                <Fig of={figure} withUnit bare={2} />
              </td>
              {columns.map((column) => (
                <td key={column} className="right">
                  <Cell of={held.find(({ against }) => against === column)} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

type Held = HeldFigure['held'][number]

function Cell({ of }: { of: Held | undefined }) {
  if (!of) return null
  const { difference, percent, share, shareAlone } = of
  // By no more than it is unsure, nobody can say that it is over.
  const over = share && !shareAlone && isFigure(difference) && difference.x.value > expanded(difference.x)
  return (
    <span className="inline-flex flex-wrap justify-end gap-x-2">
      {over && (
        <span className="text-ochre">
          ▲ {decides(difference) ? 'over it' : 'over it, by what was not measured'}
        </span>
      )}
      {!shareAlone && <Fig of={difference} withUnit signed bare={2} />}
      {share ? (
        <span className="text-quiet">
          <Fig of={share} withUnit bare={2} /> of it
        </span>
      ) : (
        percent && (
          <span className="text-quiet">
            <Fig of={percent} withUnit signed bare={2} />
          </span>
        )
      )}
    </span>
  )
}
