import {
  isFigure,
  predictSteps,
  predictSupply,
  sayFigure,
  type Analysis,
  type SurveyFigures,
} from '@even-watt/core'
import { PredictedTable } from '../whatIf/PredictedTable'
import { useLoadsToPredict } from '../whatIf/useLoadsToPredict'

/** The first to fix, and what fixing it returns. */
export function WhatToFix({ survey, analysis }: { survey: SurveyFigures; analysis: Analysis }) {
  const [first, ...others] = survey.toFix
  const loads = useLoadsToPredict(analysis)
  const { rig } = analysis.record.revision
  if (!first) return <p className="mt-1">Every element is as it should be, within uncertainty.</p>
  const after = predictSupply(rig, analysis.supply, [{ kind: 'remake', element: first.element.id }])
  return (
    <div className="mt-2">
      <p>
        <strong>Fix the {first.element.name} first</strong>
        {isFigure(first.watts) && `: it takes ${sayFigure(first.watts)} at the current of the survey`}
        {others.length > 0 && `; then ${others.map(({ element }) => element.name).join(', ')}`}. What that
        would give back:
      </p>
      <PredictedTable
        steps={predictSteps(after, analysis.supply.known, loads)}
        analysis={analysis}
        after={after}
        rigAfter={rig}
      />
    </div>
  )
}
