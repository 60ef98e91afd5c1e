import { authority } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { useSafety } from './useSafety'

/** The cautions as they stand, and who acknowledged them. */
export function ReportPart({ state }: ReportProps) {
  const safety = useSafety(state)
  return (
    <Section title="Cautions">
      <ul className="list-disc pl-5">
        {safety.cautions.map(({ name, sentence }) => (
          <li key={name}>
            {sentence}
            {safety.by.has(name) && (
              <span className="text-quiet"> Acknowledged: {safety.by.get(name)?.by}.</span>
            )}
          </li>
        ))}
      </ul>
      {safety.open.length > 0 && (
        <p className="text-ochre">
          ▲{' '}
          {safety.open.length === safety.cautions.length
            ? 'Make safe was skipped.'
            : `${safety.open.length} cautions were not acknowledged.`}
        </p>
      )}
      <p className="font-semibold">{authority}</p>
    </Section>
  )
}
