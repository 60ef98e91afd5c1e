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

/** The rig, what was measured of its supply, and what was predicted of its change. */
export function ReportPart({ state, analysis }: ReportProps) {
  const { supply, record } = analysis
  const survey = supply.surveys.at(-1)
  if (isStation(record.revision.unit))
    return (
      <>
        <StationRibbon analysis={analysis} />
        <HungMeters rig={record.revision.rig} meters={record.revision.meters} />
      </>
    )
  return (
    <>
      <RigPicture analysis={analysis} />
      <RigFacts rig={record.revision.rig} meters={record.revision.meters} />
      <Section title="The supply">
        <SupplyTable supply={supply} />
        {supply.disagreements.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </Section>
      {supply.loadTests.length > 0 && (
        <Section title="Load test">
          <LoadTestTable analyses={[analysis]} />
        </Section>
      )}
      {survey && (
        <Section title="Drop survey">
          <SurveyTable survey={survey} />
        </Section>
      )}
      {readingsOf(record, 'prediction').map((entry) => (
        <Section key={entry.id} title={`Predicted: ${entry.reading.words}`}>
          <CameTrue entry={entry} analyses={state.view.analyses} />
        </Section>
      ))}
    </>
  )
}
