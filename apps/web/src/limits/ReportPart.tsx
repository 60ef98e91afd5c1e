import { readingsOf, surgeCurveOf } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { SeenAlong } from './SeenAlong'
import { SurgePart } from './SurgePart'
import { TestList } from './TestList'

export function ReportPart({ state: { trial, view }, analysis }: ReportProps) {
  const tested = readingsOf(analysis.record, 'limit').length > 0
  const carried =
    surgeCurveOf(analysis).sources.some(({ endedBy }) => endedBy !== undefined) ||
    analysis.motors.attempts.some(({ capture }) => capture)
  if (!tested && !carried) return null
  return (
    <Section title="Limits">
      <TestList record={view.record} analysis={analysis} />
      <SeenAlong analysis={analysis} />
      <h3 className="mt-3 font-semibold">Surge and time</h3>
      <SurgePart title={trial.title} analysis={analysis} findings={[]} eager />
    </Section>
  )
}
