import { readingsOf, trendsOf } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { AttemptTable } from './AttemptTable'

export function MotorsPart({ state, analysis }: ReportProps) {
  if (!readingsOf(analysis.record, 'motors').length) return null
  return (
    <Section title="Motors">
      {trendsOf(analysis.motors.attempts).map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      <AttemptTable record={state.view.record} analysis={analysis} />
    </Section>
  )
}
