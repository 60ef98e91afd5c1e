import { authority } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { shortDate } from '../ui/dates'
import { Section } from '../ui/Section'
import { useSafety, type Safety } from './useSafety'

/** The cautions as they stand, and who acknowledged them: once, where it was one person on one day. */
export function SafetyPart({ state }: ReportProps) {
  const safety = useSafety(state)
  return (
    <Section title="Cautions">
      <ul className="list-disc pl-5">
        {safety.cautions.map(({ name, sentence }) => (
          <li key={name}>{sentence}</li>
        ))}
      </ul>
      {acknowledgedBy(safety).map((said) => (
        <p key={said}>{said}</p>
      ))}
      {safety.open.length > 0 && (
        <p className="text-ochre">
          ▲{' '}
          {safety.open.length === safety.cautions.length
            ? 'Make safe was skipped.'
            : `Not acknowledged: ${safety.open.map(({ name }) => name).join(', ')}.`}
        </p>
      )}
      <p className="font-semibold">{authority}</p>
    </Section>
  )
}

/** "Acknowledged by R.O., 12 Mar." with the cautions where they were not all acknowledged together. */
function acknowledgedBy({ cautions, by }: Safety): string[] {
  const names = new Map<string, string[]>()
  for (const { name } of cautions) {
    const who = by.get(name)
    if (!who) continue
    const said = `${who.by}, ${shortDate(who.at)}`
    names.set(said, [...(names.get(said) ?? []), name])
  }
  return [...names].map(([said, list]) =>
    list.length === cautions.length
      ? `Acknowledged by ${said}.`
      : `Acknowledged by ${said}: ${list.join(', ')}.`,
  )
}
