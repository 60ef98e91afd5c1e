import { ratedPower } from '@even-watt/core'
import { AgainstBefore } from './AgainstBefore'
import { useOnRig } from '../catalogue/useOnRig'
import { useOwnLimits } from '../catalogue/useOwnLimits'
import { BarsTable } from '../evidence/BarsTable'
import { DisplayTable } from '../evidence/DisplayTable'
import { TwoMetersTable } from '../evidence/TwoMetersTable'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { Circumstances } from './Circumstances'
import { CurveFigures } from './CurveFigures'
import { LegTable } from './LegTable'
import { LadderCharts } from './LadderCharts'
import { ReportTable } from './ReportTable'

export function LadderPart({ state, analysis }: ReportProps) {
  const { view } = state
  return (
    <>
      <Section title="Ladder">
        <ReportTable state={state} analysis={analysis} />
        <Circumstances analysis={analysis} />
        {analysis.ladder.steps
          .filter(({ legs }) => legs)
          .map((step) => (
            <div key={step.step.id} className="mt-2 break-inside-avoid">
              <p className="font-semibold">{step.load}, by leg</p>
              <LegTable figures={step} />
            </div>
          ))}
        <TwoMetersTable analysis={analysis} brief />
        <DisplayTable analysis={analysis} />
        <BarsTable analysis={analysis} />
      </Section>
      <AgainstBefore analyses={view.analyses} analysis={analysis} />
    </>
  )
}

export function CurvesPart({ state: { trial, view }, analysis }: ReportProps) {
  const limits = useOwnLimits(trial, useOnRig(view.analyses, analysis))
  return <LadderCharts title={trial.title} analyses={view.analyses} analysis={analysis} limits={limits} />
}

export function CurveFiguresPart({ state: { trial }, analysis }: ReportProps) {
  if (!analysis.ladder.steps.length) return null
  return (
    <Section title="What the curve says">
      <CurveFigures analysis={analysis} rated={ratedPower(analysis.record.revision.unit)} duty={trial.duty} />
    </Section>
  )
}
