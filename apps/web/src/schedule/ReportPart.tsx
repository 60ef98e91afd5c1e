import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { RunRecord } from './RunRecord'

export function SchedulePart({ state }: ReportProps) {
  return (
    <Section title="How the day went">
      <RunRecord state={state} />
    </Section>
  )
}
