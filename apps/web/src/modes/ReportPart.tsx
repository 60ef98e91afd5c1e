import { readingsOf } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { ModeList } from './ModeList'

export function ModesPart({ analysis }: ReportProps) {
  if (!readingsOf(analysis.record, 'mode').length) return null
  return (
    <Section title="Modes and transfer">
      <ModeList analysis={analysis} />
    </Section>
  )
}
