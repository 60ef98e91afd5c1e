import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { UnitFacts } from './UnitFacts'

export function ReportPart({ analysis }: ReportProps) {
  return (
    <Section title="The unit, and where it came from">
      <UnitFacts unit={analysis.record.revision.unit} />
    </Section>
  )
}
