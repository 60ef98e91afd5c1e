import { trendsOf } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { AttemptTable } from './AttemptTable'

export function ReportPart({ state, analysis }: ReportProps) {
  return (
    <Section title="Motors">
      {trendsOf(analysis.motors.attempts).map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      <AttemptTable record={state.view.record} analysis={analysis} />
    </Section>
  )
}
