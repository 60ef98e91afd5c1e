import { say } from '@even-watt/core'
import type { SurveyFigures, SurveyLine } from '@even-watt/core'
import { Fig } from '../../ui/Fig'
import { FitTable } from '../../ui/FitTable'

/** Each element of the path as it was surveyed, beside what is expected of it. */
export function SurveyTable({ survey }: { survey: SurveyFigures }) {
  return (
    <div>
      <FitTable className="max-w-5xl">
        <thead>
          <tr>
            <th>element</th>
            <th className="right">drop</th>
            <th className="right">measured</th>
            <th className="right">expected</th>
            <th className="right">heat</th>
            <th>verdict</th>
          </tr>
        </thead>
        <tbody>
          {survey.lines.map((line) => (
            <tr key={line.element.id} className={line.excessive ? 'font-semibold' : ''}>
              <td>
                {line.side === 'positive' ? '+' : '−'} {line.element.name}
              </td>
              <td className="right">
                <Fig of={line.drop} withUnit />
              </td>
              <td className="right">
                <Fig of={line.resistance} withUnit />
              </td>
              <td className="right">
                <Fig of={line.expected} bare withUnit ungraded />
              </td>
              <td className="right">
                <Fig of={line.watts} withUnit hue="heat" />
              </td>
              <td>{verdict(line, survey.negative.includes(line.element.id))}</td>
            </tr>
          ))}
        </tbody>
      </FitTable>
      {survey.entry.reading.note && <p className="text-quiet">{survey.entry.reading.note}</p>}
    </div>
  )
}

function verdict(line: SurveyLine, negative: boolean) {
  if (negative) return <span className="text-ochre">▲ negative: is the order or a probe wrong?</span>
  if (line.excessive) {
    return (
      <span className="text-madder">
        ■{' '}
        {line.ratio === undefined || line.ratio > 99
          ? 'far more than expected'
          : `${say(line.ratio, '', 2)} times the expected`}
        {line.hot ? ', hot' : ''}
      </span>
    )
  }
  return line.hot ? (
    <span className="text-ochre">▲ over 50 mV or 3 W</span>
  ) : (
    <span className="text-moss">● sound</span>
  )
}
