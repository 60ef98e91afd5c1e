import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { AttemptTable } from './AttemptTable'

export function ReportPart({ state, analysis }: ReportProps) {
  return (
    <Section title="Motors">
      <AttemptTable record={state.view.record} analysis={analysis} />
    </Section>
  )
}
