import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { FindingList } from './FindingList'

export function ReportPart({ state }: ReportProps) {
  return (
    <Section title="Findings">
      <FindingList state={state} />
    </Section>
  )
}
