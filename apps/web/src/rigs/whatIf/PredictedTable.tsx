import type { Rig } from '@even-watt/contract'
import {
  alarmVoltage,
  isFigure,
  say,
  standard,
  viewSupply,
  type Analysis,
  type KnownSupply,
  type PredictedStep,
} from '@even-watt/core'
import { Fig } from '../../ui/Fig'
import { useUnitQuestion } from '../atOnce/useUnitQuestion'
import { FitTable } from '../../ui/FitTable'

interface Props {
  readonly steps: readonly PredictedStep[]
  readonly analysis: Analysis
  readonly after: KnownSupply
  readonly rigAfter: Rig
}

/** V_B and alarm at each step, before and after a change; and the headroom of both. */
export function PredictedTable({ steps, analysis, after, rigAfter }: Props) {
  const question = useUnitQuestion(analysis)
  const alarm = alarmVoltage(analysis.record)
  const reach = (known: KnownSupply, rig: Rig) => viewSupply(rig, known, question)?.toAlarm
  const [before, then] = [reach(analysis.supply.known, analysis.record.revision.rig), reach(after, rigAfter)]
  return (
    <>
      {steps.length > 0 && (
        <FitTable className="max-w-5xl">
          <thead>
            <tr>
              <th>step</th>
              <th className="right">output</th>
              <th className="right">V_B measured</th>
              <th className="right">V_B predicted</th>
              {alarm !== undefined && <th>at the alarm of {alarm} V</th>}
            </tr>
          </thead>
          <tbody>
            {steps.map((step, i) => (
              <tr key={i}>
                <td>{step.load}</td>
                <td className="right">
                  <Fig of={step.P_C} bare withUnit />
                </td>
                <td className="right">
                  <Fig of={step.before} withUnit />
                </td>
                <td className="right">
                  <Fig of={step.V_B} withUnit ungraded />
                </td>
                {alarm !== undefined && <td>{sayAlarm(step, alarm)}</td>}
              </tr>
            ))}
          </tbody>
        </FitTable>
      )}
      {then && (
        <p className="mt-1">
          Headroom to the alarm: {before ? `${say(before.outputPower, 'W')} now, ` : ''}
          <strong>{say(then.outputPower, 'W')}</strong> after, limited by {then.limitedBy}. A prediction, from
          the measured values.
        </p>
      )}
    </>
  )
}

function sayAlarm({ before, V_B }: PredictedStep, alarm: number): string {
  if (!isFigure(V_B)) return V_B.missing
  const gap = V_B.x.value - alarm
  const sure = Math.abs(gap) > 2 * standard(V_B.x)
  const now = isFigure(before) && before.x.value < alarm
  if (gap < 0) return sure ? 'would alarm' : 'would alarm, within uncertainty'
  if (!sure) return 'above the alarm, within uncertainty'
  return now ? '● becomes possible' : 'above the alarm'
}
