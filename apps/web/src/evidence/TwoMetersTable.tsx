import { comparedMeters, formatNumber, quantityData, sayFigure, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'
import { SummedMetersTable } from './SummedMetersTable'
import { useOddities } from '../trials/useOddities'

interface Props {
  readonly analysis: Analysis
  /** For a report: pairs of meters in a line each, and in full only where they disagree. */
  readonly brief?: boolean
}

/** Two meters on one quantity, wherever that was read: by how much they differ, which one is used, and why. */
export function TwoMetersTable({ analysis, brief = false }: Props) {
  const lines = useMemo(() => comparedMeters(analysis), [analysis])
  const rulings = useOddities().filter(({ number }) => number === 29)
  if (!lines.length) return null
  const compared = lines.flatMap(({ E_n }) => E_n ?? [])
  const apart = compared.filter((E_n) => E_n > 1).length
  const shown = brief ? lines.filter(({ E_n }) => E_n !== undefined && E_n > 1) : lines
  return (
    <section className="mt-4 max-w-6xl break-inside-avoid">
      <h2>Two meters on one quantity</h2>
      <p>
        {compared.length === 0
          ? 'Only one of the two may be believed here, so they are not compared.'
          : apart === 0
            ? 'Where two meters read the same thing, they agree within their uncertainties.'
            : `They disagree in ${apart} of ${compared.length} comparisons, beyond their uncertainties (E_n over 1).`}
      </p>
      {brief && compared.length > 0 && <SummedMetersTable lines={lines} />}
      {shown.length > 0 && (
        <div className="overflow-x-auto">
          <table className="list-table min-w-[52rem]">
            <thead>
              <tr>
                <th>load</th>
                <th>what</th>
                <th>used</th>
                <th className="right" />
                <th>beside it</th>
                <th className="right" />
                <th className="right">E_n</th>
                <th />
                <th>why that one</th>
              </tr>
            </thead>
            <tbody>
              {shown.map(({ load, step, quantity, used, other, E_n, why, plateau }) => {
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
          </table>
        </div>
      )}
    </section>
  )
}
