import { say, stepsBeside, type Compared } from '@even-watt/core'
import { useMemo } from 'react'
import { Fig } from '../ui/Fig'
import { BesideTable } from './BesideTable'

/** The same loads on each: how far volts and hertz are off nominal. */
export function StepsTable({ list }: { readonly list: readonly Compared[] }) {
  const rows = useMemo(() => stepsBeside(list), [list])
  if (!rows.length) return null
  return (
    <section className="mt-5">
      <h2>Volts and hertz at the same loads</h2>
      <BesideTable list={list}>
        {rows.map(({ watts, cells }) => (
          <tr key={watts}>
            <th scope="row">{watts ? `about ${say(watts, 'W', 2)}` : 'nothing connected'}</th>
            {cells.map((cell, i) => (
              <td key={i}>
                {cell ? (
                  <>
                    <Fig of={cell.volts} withUnit /> <span className="text-quiet">volts</span>
                    <span className="block">
                      <Fig of={cell.hertz} withUnit /> <span className="text-quiet">hertz</span>
                    </span>
                  </>
                ) : (
                  <span className="text-quiet">not tried</span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </BesideTable>
      <p className="text-quiet text-[0.9rem]">Off nominal, each its own.</p>
    </section>
  )
}
