import type { Series } from '@even-watt/core'
import { Fig } from '../ui/Fig'
import { FitTable } from '../ui/FitTable'

const goes = { up: '↑ rises', down: '↓ falls', nowhere: '→ noise' } as const

interface Props {
  /** Of what they are, for those who only hear the table. */
  readonly of: string
  readonly series: readonly (readonly [words: string, of: Series])[]
}

/** Several figures of one kind: number, lowest, highest, mean, spread, and whether they go anywhere. */
export function SeriesTable({ of, series }: Props) {
  if (!series.length) return null
  return (
    <FitTable className="max-w-3xl" aria-label={`${of}, taken together`}>
      <thead>
        <tr>
          <th>{of}</th>
          <th className="right">number</th>
          <th className="right">lowest</th>
          <th className="right">highest</th>
          <th className="right">mean</th>
          <th className="right">spread</th>
          <th>first to last</th>
        </tr>
      </thead>
      <tbody>
        {series.map(([words, { number, lowest, highest, mean, spread, goes: way }]) => (
          <tr key={words}>
            <th scope="row">{words}</th>
            <td className="figures right">{number}</td>
            {[lowest, highest, mean, spread].map((figure, i) => (
              <td key={i} className="right whitespace-nowrap">
                <Fig of={figure} withUnit bare={2} />
              </td>
            ))}
            <td className="whitespace-nowrap">{goes[way]}</td>
          </tr>
        ))}
      </tbody>
    </FitTable>
  )
}
