import { columnCells, headOf, ratedPower, sayChosen, unitOfChosen } from '@even-watt/core'
import { useColumnsOf } from '../catalogue/useColumns'
import { useOnRig } from '../catalogue/useOnRig'
import type { ReportProps } from '../stage'
import { Fig } from '../ui/Fig'
import { stepLabel } from './stepLabel'
import { FitTable } from '../ui/FitTable'

/** The ladder narrow enough for paper, with uncertainties where they decide. */
export function ReportTable({ state, analysis }: ReportProps) {
  const columns = useColumnsOf(state.trial)
  const on = useOnRig(state.view.analyses, analysis)
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
    <FitTable className="text-[0.9rem]">
      <thead>
        <tr>
          {heads.map((head, i) => (
            <th key={head} className={i > 1 ? 'right' : ''}>
              {head}
            </th>
          ))}
          {columns.map((chosen) => {
            const [head, from] = headOf(chosen)
            return (
              <th key={sayChosen(chosen)} className="right" title={sayChosen(chosen)}>
                {[head, from].filter(Boolean).join(' ')}
                {unitOfChosen(chosen) && `, ${unitOfChosen(chosen)}`}
              </th>
            )
          })}
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
            {columnCells(columns, step, on).map((figure, k) => (
              <td key={k} className="figures right whitespace-nowrap">
                <Fig of={figure} bare={2} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </FitTable>
  )
}
