import { onSameSupply, say, type Compared, type OnSupply } from '@even-watt/core'
import { BesideTable } from './BesideTable'

const rows: readonly (readonly [words: string, of: (cell: OnSupply) => string])[] = [
  ['volts at the terminals', ({ volts }) => say(volts, 'V', 4)],
  ['from the bank', ({ input }) => say(input, 'W', 4)],
  ['bank to outlet', ({ efficiency }) => say(100 * efficiency, '%')],
]

/** All of them as if on one bank and its leads. */
export function OnSameSupply({ list }: { readonly list: readonly Compared[] }) {
  const same = onSameSupply(list)
  if (!same) return null
  return (
    <section className="mt-5">
      <h2>As if on the same supply</h2>
      <p className="text-quiet max-w-4xl">
        At {say(same.load, 'W')} on the bank and leads of {same.of}, reckoned with what each unit lost at its
        own input volts.
      </p>
      <BesideTable list={list}>
        {rows.map(([words, of]) => (
          <tr key={words}>
            <th scope="row">{words}</th>
            {same.cells.map((cell) => (
              <td key={cell.name} className={'missing' in cell ? 'text-quiet' : 'figures'}>
                {'missing' in cell ? `– ${cell.missing}` : of(cell)}
              </td>
            ))}
          </tr>
        ))}
      </BesideTable>
    </section>
  )
}
