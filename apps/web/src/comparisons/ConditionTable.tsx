import type { Comparison } from '@even-watt/core'
import { BesideTable } from './BesideTable'

/** Under what each was read; what is unlike is said at its row. */
export function ConditionTable({ list, conditions }: Pick<Comparison, 'list' | 'conditions'>) {
  return (
    <section className="mt-5">
      <h2>Conditions</h2>
      <BesideTable list={list}>
        {conditions.map(({ words, cells, unlike }) => (
          <tr key={words}>
            <th scope="row">
              {unlike && <span className="text-ochre">▲ </span>}
              {words}
            </th>
            {cells.map((cell, i) => (
              <td key={i}>{cell}</td>
            ))}
          </tr>
        ))}
      </BesideTable>
      {conditions.some(({ unlike }) => unlike) ? (
        <ul className="mt-1 max-w-4xl">
          {conditions.flatMap(({ words, unlike }) =>
            unlike
              ? [
                  <li key={words}>
                    <span className="text-ochre font-bold">▲</span> {unlike}
                  </li>,
                ]
              : [],
          )}
        </ul>
      ) : (
        <p className="text-quiet">All alike, as far as they were noted.</p>
      )}
    </section>
  )
}
