import { ratedPower, type Analysis } from '@even-watt/core'
import { Fig } from '../ui/Fig'
import { stepLabel } from './stepLabel'

/** The ladder narrow enough for paper, with uncertainties where they decide. */
export function ReportTable({ analysis }: { analysis: Analysis }) {
  if (!analysis.ladder.steps.length) return <p>No step on this rig.</p>
  const rated = ratedPower(analysis.record.revision.unit)
  const heads = [
    '%',
    'load',
    'V_A',
    'V_B',
    'I, A',
    'path, W',
    'V_C',
    'P_C, W',
    'loss, W',
    'η unit, %',
    'η system, %',
  ]
  return (
    <div className="overflow-x-auto">
      <table className="list-table text-[0.9rem]">
        <thead>
          <tr>
            {heads.map((head, i) => (
              <th key={head} className={i > 1 ? 'right' : ''}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {analysis.ladder.steps.map((step, i) => (
            <tr key={step.step.id}>
              <td className="figures">{stepLabel(step, rated, i)}</td>
              <td>{step.load}</td>
              {[
                step.read.V_A,
                step.read.V_B,
                step.read.I,
                step.P_path,
                step.read.V_C,
                step.P_C,
                step.P_loss,
                step.eta_unit,
                step.eta_system,
              ].map((figure, k) => (
                <td key={k} className="figures right whitespace-nowrap">
                  <Fig of={figure} bare={k <= 6} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
