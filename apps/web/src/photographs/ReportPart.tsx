import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { Figures } from './Figures'
import { usePhotographs } from './usePhotographs'

/** Every photograph of the trial that stands nowhere else in its report, in the order in which they were taken. */
export function PhotographsPart({ state }: ReportProps) {
  const placed = new Set(
    state.trial.report?.blocks.flatMap(({ picked, shown }) =>
      picked && shown && 'photograph' in picked ? picked.photograph : [],
    ),
  )
  const photographs = usePhotographs(state).filter(({ id }) => !placed.has(id))
  if (!photographs.length) return null
  return (
    <Section title="Photographs">
      <Figures photographs={photographs} />
    </Section>
  )
}
