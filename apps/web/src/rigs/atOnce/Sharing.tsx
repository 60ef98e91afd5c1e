import type { Rig } from '@even-watt/contract'
import { describeBank, formatNumber, sharing, takeOffs } from '@even-watt/core'
import { FitTable } from '../../ui/FitTable'

/** How the current divides between strings, as the bank is and for each take-off. */
export function Sharing({ rig, current }: { rig: Rig; current: number }) {
  const { strings } = rig.bank
  if (strings.length < 2) return null
  const rows = [{ words: 'as drawn', bank: rig.bank }, ...takeOffs(rig.bank)].map(({ words, bank }) => ({
    words,
    shares: sharing(bank, current),
  }))
  return (
    <section>
      <h3 className="font-semibold">
        How {current} A is shared, {describeBank(rig.bank)}
      </h3>
      <FitTable className="max-w-3xl">
        <thead>
          <tr>
            <th>take-off</th>
            {strings.map((string, i) => (
              <th key={i} className="right">
                {string[0]?.name}
              </th>
            ))}
            <th className="right">hardest / easiest</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ words, shares }) => (
            <tr key={words}>
              <td>{words}</td>
              {strings.map((_, i) => (
                <td key={i} className="figures right">
                  {shares ? `${formatNumber(shares[i] ?? 0, 1)} A` : '–'}
                </td>
              ))}
              <td className="figures right">
                {shares && Math.min(...shares) > 0
                  ? formatNumber(Math.max(...shares) / Math.min(...shares), 2)
                  : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </FitTable>
      <p className="text-quiet">
        A diagonal take-off or equal leads to busbars load alike batteries alike; unlike ones never share
        evenly.
      </p>
    </section>
  )
}
