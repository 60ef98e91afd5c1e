import { isStation, readingsOf } from '@even-watt/core'
import { HungMeters } from '../rigs/HungMeters'
import { RigFacts } from '../rigs/RigFacts'
import { RigPicture } from '../rigs/RigPicture'
import { SurveyTable } from '../rigs/survey/SurveyTable'
import { CameTrue } from '../rigs/whatIf/CameTrue'
import type { ReportProps } from '../stage'
import { StationRibbon } from '../station/StationRibbon'
import { Section } from '../ui/Section'
import { LoadTestTable } from './LoadTestTable'
import { SupplyTable } from './SupplyTable'

/** The rig as it is drawn, and what each part of it is; of a station what its own cells do. */
export function RigPart({ analysis }: ReportProps) {
  const { rig, meters, unit } = analysis.record.revision
  return isStation(unit) ? (
    <>
      <StationRibbon analysis={analysis} />
      <HungMeters rig={rig} meters={meters} />
    </>
  ) : (
    <>
      <RigPicture analysis={analysis} />
      <RigFacts rig={rig} meters={meters} />
    </>
  )
}

export function SupplyPart({ analysis: { supply, record } }: ReportProps) {
  if (isStation(record.revision.unit)) return null
  return (
    <Section title="The supply">
      <SupplyTable supply={supply} />
      {supply.disagreements.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
    </Section>
  )
}

export function LoadTestPart({ analysis }: ReportProps) {
  if (!analysis.supply.loadTests.length) return null
  return (
    <Section title="Load test">
      <LoadTestTable analyses={[analysis]} />
    </Section>
  )
}

export function SurveyPart({ analysis }: ReportProps) {
  const survey = analysis.supply.surveys.at(-1)
  if (!survey) return null
  return (
    <Section title="Drop survey">
      <SurveyTable survey={survey} />
    </Section>
  )
}

/** What was predicted of a change of the rig, and what came of it. */
export const PredictionsPart = ({ state, analysis }: ReportProps) =>
  readingsOf(analysis.record, 'prediction').map((entry) => (
    <Section key={entry.id} title={`Predicted: ${entry.reading.words}`}>
      <CameTrue entry={entry} analyses={state.view.analyses} />
    </Section>
  ))
