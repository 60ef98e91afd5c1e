import { isFigure, isFit, sayFigure, type Derived, type SupplyEvidence } from '@even-watt/core'
import { Fig } from '../ui/Fig'
import { FitTable } from '../ui/FitTable'

/** E, R_source and R_path by every way they are known. */
export function SupplyTable({ supply }: { supply: SupplyEvidence }) {
  const { promised, atA, atB, ladderPath, surveyedPath, tested } = supply
  const none = { missing: 'This way does not tell it.' }
  const fitted = (tap: 'A' | 'B', part: 'E' | 'R'): Derived => {
    const fit = tap === 'A' ? atA : atB
    return isFit(fit) ? fit[part] : fit
  }
  const rows: readonly (readonly [string, string, Derived, Derived, Derived, Derived])[] = [
    ['E', 'volts at no current', fitted('A', 'E'), none, none, promised.E],
    ['R_source', 'bank, behind the posts', fitted('A', 'R'), tested, none, promised.R_bank],
    ['R_path', 'posts to terminals', ladderPath, none, surveyedPath, promised.R_path],
    ['R_total', 'behind the terminals', fitted('B', 'R'), none, none, none],
  ]
  return (
    <div>
      <FitTable className="max-w-5xl">
        <thead>
          <tr>
            <th>figure</th>
            <th className="right">ladder, minutes</th>
            <th className="right">load test, 10 s</th>
            <th className="right">drop survey</th>
            <th className="right">expected, not measured</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([symbol, words, ...figures]) => (
            <tr key={symbol}>
              <td>
                <span className="figures">{symbol}</span> <span className="text-quiet">{words}</span>
              </td>
              {figures.map((figure, i) => (
                <td key={i} className="right">
                  <Fig of={figure} withUnit ungraded={i === 3} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </FitTable>
      {isFit(atA) && atA.drift && isFigure(atA.drift) && (
        <p className="text-quiet">
          The rest voltage drifted by {sayFigure(atA.drift)} per hour; the fit allows for it.
        </p>
      )}
    </div>
  )
}
