import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { Figures } from './Figures'
import { usePhotographs } from './usePhotographs'

/** Every photograph of the trial, in the order in which they were taken. */
export function ReportPart({ state }: ReportProps) {
  const photographs = usePhotographs(state)
  if (!photographs.length) return null
  return (
    <Section title="Photographs">
      <Figures photographs={photographs} />
    </Section>
  )
}
