import { readingsOf, surgeCurveOf, type Analysis } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { SeenAlong } from './SeenAlong'
import { SurgePart } from './SurgePart'
import { TestList } from './TestList'

const tested = (analysis: Analysis) => readingsOf(analysis.record, 'limit').length > 0

export function LimitsPart({ state: { view }, analysis }: ReportProps) {
  if (!tested(analysis)) return null
  return (
    <Section title="Limits">
      <TestList record={view.record} analysis={analysis} />
      <SeenAlong analysis={analysis} />
    </Section>
  )
}

export function SurgeAndTimePart({ state: { trial }, analysis }: ReportProps) {
  const carried =
    surgeCurveOf(analysis).sources.some(({ endedBy }) => endedBy !== undefined) ||
    analysis.motors.attempts.some(({ capture }) => capture)
  if (!tested(analysis) && !carried) return null
  return (
    <Section title="Surge and time">
      <SurgePart title={trial.title} analysis={analysis} findings={[]} />
    </Section>
  )
}
