import { readingsOf } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { BoxList } from './BoxList'
import { Wish } from './Wish'
import { UnitFacts } from './UnitFacts'

/** What it is, where it came from, what came with it, and what was remarked on it. */
export function UnitPart({ state, analysis }: ReportProps) {
  const remarks = readingsOf(state.view.record, 'remark')
  return (
    <Section title="The unit, and where it came from">
      <UnitFacts unit={analysis.record.revision.unit} />
      <BoxList unit={analysis.record.revision.unit} />
      {remarks.length > 0 && (
        <ul className="mt-2">
          {remarks.map(({ id, reading }) => (
            <li key={id} className="break-words">
              <span className="text-quiet">{reading.kind}:</span> {reading.words}
              <Wish of={reading} />
              {reading.settled && <span className="text-moss"> ● {reading.settled}</span>}
            </li>
          ))}
        </ul>
      )}
    </Section>
  )
}
