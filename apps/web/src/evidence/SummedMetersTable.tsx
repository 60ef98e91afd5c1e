import { formatNumber, quantityData, summedMeters, type ComparedMeters } from '@even-watt/core'
import { sayApart } from './ComparedLines'
import { FitTable } from '../ui/FitTable'

/** How meters that read the same thing stand to each other, in a line for each pair. */
export const SummedMetersTable = ({ lines }: { lines: readonly ComparedMeters[] }) => (
  <FitTable className="max-w-4xl">
    <thead>
      <tr>
        <th>what</th>
        <th>used</th>
        <th>beside it</th>
        <th className="right">compared</th>
        <th className="right">apart on the whole, %</th>
        <th className="right">largest E_n</th>
        <th />
      </tr>
    </thead>
    <tbody>
      {summedMeters(lines).map(({ quantity, used, other, times, apart, worst, above }) => (
        <tr key={`${quantity} ${used} ${other}`}>
          <td>{quantityData[quantity].words}</td>
          <td>{used}</td>
          <td>{other}</td>
          <td className="figures right">{times} ×</td>
          <td className="figures right">{sayApart(above)}</td>
          <td className="figures right">{formatNumber(worst, 1)}</td>
          <td className="whitespace-nowrap">
            {apart ? (
              <span className="text-ochre">▲ disagree {apart} ×</span>
            ) : (
              <span className="text-moss">● agree</span>
            )}
          </td>
        </tr>
      ))}
    </tbody>
  </FitTable>
)
