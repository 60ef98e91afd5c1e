import { readingsOf } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { OutletList } from './OutletList'

export function OutletsPart({ analysis }: ReportProps) {
  if (!readingsOf(analysis.record, 'outlet').length) return null
  return (
    <Section title="Outlets, cords, breakers">
      <OutletList analysis={analysis} />
    </Section>
  )
}
