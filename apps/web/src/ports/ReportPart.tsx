import { readingsOf } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { PortList } from './PortList'

export function PortsPart({ analysis }: ReportProps) {
  if (!readingsOf(analysis.record, 'port').length) return null
  return (
    <Section title="Ports">
      <PortList analysis={analysis} />
    </Section>
  )
}
