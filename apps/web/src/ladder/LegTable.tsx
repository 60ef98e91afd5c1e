import type { StepFigures } from '@even-watt/core'
import { Fig } from '../ui/Fig'
import { FitTable } from '../ui/FitTable'

/** Each leg of a split phase, both together, and what flows back in the neutral. */
export function LegTable({ figures: { legs } }: { figures: Pick<StepFigures, 'legs'> }) {
  if (!legs) return null
  return (
    <FitTable className="max-w-2xl">
      <thead>
        <tr>
          <th>leg</th>
          <th className="right">V</th>
          <th className="right">A</th>
          <th className="right">W</th>
          <th className="right">from nominal</th>
        </tr>
      </thead>
      <tbody>
        {legs.legs.map(({ leg, V, I, P, regulation }) => (
          <tr key={leg}>
            <td>{leg}</td>
            {[V, I, P].map((figure, i) => (
              <td key={i} className="right">
                <Fig of={figure} hue="ac" />
              </td>
            ))}
            <td className="right">
              <Fig of={regulation} withUnit />
            </td>
          </tr>
        ))}
        <tr>
          <td>both</td>
          <td className="right">
            <Fig of={legs.between} hue="ac" withUnit /> <span className="text-quiet">apart</span>
          </td>
          <td className="right">
            <Fig of={legs.neutral} hue="ac" withUnit /> <span className="text-quiet">neutral</span>
          </td>
          <td className="right">
            <Fig of={legs.sum} hue="ac" withUnit />
          </td>
          <td className="right">
            <Fig of={legs.balance} withUnit /> <span className="text-quiet">unbalance</span>
          </td>
        </tr>
      </tbody>
    </FitTable>
  )
}
