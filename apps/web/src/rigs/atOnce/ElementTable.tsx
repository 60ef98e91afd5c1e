import {
  efficiencyError,
  formatNumber,
  ownDrop,
  say,
  sayTemperature,
  type ElementState,
} from '@even-watt/core'
import { FitTable } from '../../ui/FitTable'

interface Props {
  readonly states: readonly ElementState[]
  readonly current: number
  /** V of one count of the voltmeter on the rig. */
  readonly count: number | undefined
  /** V of the bank. */
  readonly volts: number
}

/** What each element drops and gives off at a current, and how warm it gets. */
export function ElementTable({ states, current, count, volts }: Props) {
  return (
    <div className="min-w-0">
      <h3 className="font-semibold">Each element at {current} A, in path order</h3>
      <FitTable>
        <thead>
          <tr>
            <th>element</th>
            <th className="right">mΩ</th>
            <th className="right">mV</th>
            <th className="right">W</th>
            {count !== undefined && <th className="right">on the voltmeter</th>}
            <th className="right">left out, efficiency is off by %</th>
            <th>heat</th>
          </tr>
        </thead>
        <tbody>
          {states.map(({ element, side, resistance, surveyed, drop, watts, temperature, heat }) => (
            <tr key={element.id}>
              <td>
                {side === 'positive' ? '+' : '−'} {element.name}
              </td>
              <td className="figures right" title={surveyed ? 'surveyed' : 'expected'}>
                {say(resistance * 1000, '')}
                {!surveyed && <span className="text-quiet"> exp.</span>}
              </td>
              <td className="figures right">{say(drop * 1000, '')}</td>
              <td className="figures right">{say(watts, '')}</td>
              {count !== undefined && <td className="right">{sayCounts(drop, count)}</td>}
              <td className="figures right">{say(100 * efficiencyError(drop, volts), '', 2)}</td>
              <td className={heat === 'hot' ? 'text-madder' : heat === 'warm' ? 'text-ochre' : ''}>
                {heat === 'hot' ? '■ hot' : heat === 'warm' ? '▲ warm' : 'cool'}
                {temperature !== undefined && (
                  <span className="text-quiet"> {sayTemperature(temperature)}</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </FitTable>
    </div>
  )
}

/** "12 counts", or that nobody would see it there. */
function sayCounts(drop: number, count: number) {
  const { counts, negligible } = ownDrop(drop, count)
  return negligible ? (
    <span className="text-quiet">negligible</span>
  ) : (
    <span className="figures">{formatNumber(counts, counts < 10 ? 1 : 0)} counts</span>
  )
}
