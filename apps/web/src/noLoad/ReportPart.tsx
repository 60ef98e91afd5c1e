import { readingsOf } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { IdleFigures } from './IdleFigures'

export function NoLoadPart({ analysis }: ReportProps) {
  return (
    <Section title="No load">
      {readingsOf(analysis.record, 'no load').length ? (
        <IdleFigures figures={analysis.noLoad.on} />
      ) : (
        <p>Not read on this rig.</p>
      )}
    </Section>
  )
}
