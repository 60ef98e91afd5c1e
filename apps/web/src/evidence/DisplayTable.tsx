import {
  capital,
  displayAgainst,
  displayOffsets,
  formatNumber,
  plain,
  quantityData,
  type Analysis,
} from '@even-watt/core'
import { useMemo, type ReactNode } from 'react'
import { shortTime } from '../ui/dates'
import { Fig } from '../ui/Fig'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly analysis: Analysis
  /** What may be set about it, under the table. */
  readonly children?: ReactNode
}

/** The unit's display beside the meters, reading by reading, with what lies beyond both. */
export function DisplayTable({ analysis, children }: Props) {
  const { evidence } = analysis
  const lines = useMemo(
    () => displayAgainst(analysis.record, evidence.gate, evidence.spreads),
    [analysis.record, evidence],
  )
  if (!lines.length) return null
  const apart = lines.filter((line) => line.apart).length
  return (
    <section className="mt-4 max-w-3xl break-inside-avoid">
      <h2>Its display against the meters</h2>
      <p>
        {apart === 0
          ? `It agrees with the meters within their uncertainty in ${sayReadings(lines.length)}.`
          : `It stands off the meters in ${apart} of ${sayReadings(lines.length)}, beyond what both may be wrong by.`}
        {analysis.record.displayStandsIn &&
          ` Between these checks it stands in for a meter${analysis.record.displayCorrected ? ', corrected by its mean error' : ''}.`}
      </p>
      {displayOffsets(lines).map(({ quantity, checks, off, U }) => (
        <p key={quantity}>
          {capital(quantityData[quantity].words)}: it shows {formatNumber(Math.abs(off), places(U))}{' '}
          {quantityData[quantity].unit} too {off > 0 ? 'much' : 'little'}
          {checks > 1 && ` on the mean of ${sayReadings(checks)}`}.{' '}
          {off > 0 ? 'Take that off' : 'Add that to'} what it shows alone.
        </p>
      ))}
      <FitTable>
        <thead>
          <tr>
            <th>when</th>
            <th>what</th>
            <th className="right">display</th>
            <th className="right">meter</th>
            <th className="right">off by</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {lines.map(({ entry, quantity, shown, meter, deviation, U, apart: off }) => (
            <tr key={`${entry.id} ${quantity}`}>
              <td className="figures">{shortTime(entry.at)}</td>
              <td>{quantityData[quantity].words}</td>
              <td className="figures right whitespace-nowrap">
                {plain(shown)} {quantityData[quantity].unit}
              </td>
              <td className="right">
                <Fig of={meter} withUnit />
              </td>
              <td className="figures right whitespace-nowrap">
                {formatNumber(deviation, places(U))}{' '}
                <span className="text-quiet">
                  ± {formatNumber(U, places(U))}
                  {meter.x.value !== 0 && `, ${formatNumber((100 * deviation) / meter.x.value, 1)} %`}
                </span>
              </td>
              <td className="whitespace-nowrap">
                {off ? (
                  <span className="text-ochre">▲ off</span>
                ) : (
                  <span className="text-moss">● agrees</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </FitTable>
      {children}
    </section>
  )
}

const places = (U: number): number => Math.min(6, Math.max(0, 1 - Math.floor(Math.log10(U || 1))))

const sayReadings = (n: number) => (n === 1 ? 'one reading' : `${n} readings`)
