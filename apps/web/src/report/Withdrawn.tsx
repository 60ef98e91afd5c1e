import type { Entry } from '@even-watt/contract'
import { isReading } from '@even-watt/contract'
import { rerunOf } from '@even-watt/core'
import type { TrialState } from '../trials/useTrial'
import { shortDate, shortTime } from '../ui/dates'
import { Section } from '../ui/Section'

/** Readings that do not count, each with why: taken back, corrected, or doubted. Nothing is left out in silence. */
export function Withdrawn({ state: { entries, view } }: { readonly state: TrialState }) {
  const struck = entries.filter((entry) => isReading(entry) && view.record.struckWhy.has(entry.id))
  const doubted = view.record.revisions.flatMap(({ doubts, standing }) =>
    [...standing.values()].flat().flatMap((entry) => {
      const why = doubts.readings.get(entry.id)
      if (why === undefined) return []
      const again =
        entry.kind === 'ladder' || entry.kind === 'no load' ? rerunOf(entry, view.record) : undefined
      return [{ entry, why: `doubted: ${why}${again ? `; read again at ${shortTime(again.at)}` : ''}` }]
    }),
  )
  const lines = [
    ...struck.map((entry) => ({ entry, why: view.record.struckWhy.get(entry.id) ?? '' })),
    ...doubted,
  ]
  if (!lines.length) return null
  return (
    <Section title="Readings that do not count">
      <ul>
        {lines.map(({ entry, why }) => (
          <li key={entry.id} className="break-inside-avoid">
            <span className="text-quiet figures">
              {shortDate(entry.at)} {shortTime(entry.at)}
            </span>{' '}
            {nameOf(entry)}: {why}
          </li>
        ))}
      </ul>
    </Section>
  )
}

const nameOf = (entry: Entry): string =>
  entry.kind === 'ladder'
    ? `${entry.reading.load}, rig ${entry.revision}`
    : `${entry.kind}, rig ${entry.revision}`
