import type { Comparison } from '@even-watt/core'
import { Verdict } from '../evidence/Verdict'
import { BesideTable } from './BesideTable'

/** What each promises, and how that stands. */
export function ClaimTable({ list, claims }: Pick<Comparison, 'list' | 'claims'>) {
  if (!claims.length) return null
  return (
    <section className="mt-5">
      <h2>Promises</h2>
      <BesideTable list={list}>
        {claims.map(({ words, cells }, k) => (
          <tr key={k}>
            <th scope="row">{words}</th>
            {cells.map((cell, i) => (
              <td key={i}>
                {cell ? (
                  <>
                    <span className="figures">{cell.promised}</span>
                    <span className="block" title={cell.finding.sentence}>
                      <Verdict outcome={cell.outcome} />
                    </span>
                  </>
                ) : (
                  <span className="text-quiet">promises nothing</span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </BesideTable>
    </section>
  )
}
