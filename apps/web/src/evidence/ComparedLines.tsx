import { formatNumber, quantityData, sayFigure, shareAbove, type ComparedMeters } from '@even-watt/core'
import { useOddities } from '../trials/useOddities'
import { FitTable } from '../ui/FitTable'

/** "+1.3", "−0.2": in per cent. */
export const sayApart = (share: number | undefined): string =>
  share === undefined ? '–' : `${share < 0 ? '−' : '+'}${formatNumber(Math.abs(100 * share), 1)}`

/** Readings of two meters beside each other: by how much they differ, which one is used, and why. */
export function ComparedLines({ lines }: { readonly lines: readonly ComparedMeters[] }) {
  const rulings = useOddities().filter(({ number }) => number === 29)
  return (
    <FitTable className="min-w-[52rem]">
      <thead>
        <tr>
          <th>load</th>
          <th>what</th>
          <th>used</th>
          <th className="right" />
          <th>beside it</th>
          <th className="right" />
          <th className="right">apart, %</th>
          <th className="right">E_n</th>
          <th />
          <th>why that one</th>
        </tr>
      </thead>
      <tbody>
        {lines.map(({ load, step, quantity, used, other, E_n, why, plateau }) => {
          const { unit, words } = quantityData[quantity]
          const odd = rulings.find(({ at }) => at.step === step && at.quantity === quantity)
          return (
            <tr key={`${step} ${quantity} ${other.name} ${other.x.value}`}>
              <td>{load}</td>
              <td>{words}</td>
              <td>{used.name}</td>
              <td className="figures right whitespace-nowrap">{sayFigure({ x: used.x, unit })}</td>
              <td>{other.name}</td>
              <td className="figures right whitespace-nowrap">{sayFigure({ x: other.x, unit })}</td>
              <td className="figures right whitespace-nowrap">{sayApart(shareAbove({ used, other }))}</td>
              <td className="figures right">{E_n === undefined ? '–' : formatNumber(E_n, 1)}</td>
              <td className="whitespace-nowrap">
                {E_n === undefined ? (
                  <span className="text-quiet">not compared</span>
                ) : E_n > 1 ? (
                  <span className="text-ochre">▲ disagree</span>
                ) : (
                  <span className="text-moss">● agree</span>
                )}
              </td>
              <td className="text-quiet">
                {odd ? odd.odd : why}
                {plateau &&
                  ` Both are right on a stepped wave that stands at its top for ${sayFigure({ x: plateau, unit: '%' })} of the half cycle.`}
              </td>
            </tr>
          )
        })}
      </tbody>
    </FitTable>
  )
}
