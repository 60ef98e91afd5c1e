import type { TrialDocument } from '@even-watt/contract'
import type { SourceName } from '@even-watt/core'
import { stages } from '../stages'
import { namesOf } from '../trials/naming'

/** What a range is called where a meter was adjusted between trials carries which state it is. */
const withoutState = (source: SourceName): SourceName =>
  source.kind === 'spec' ? { ...source, range: source.range.replace(/~\d+$/, '') } : source

/** Names sources of error and readings of several trials: each by the trial that knows it. */
export function namesIn(documents: ReadonlyMap<string, TrialDocument>) {
  const all = [...documents.values()].map(({ trial, entries }) => ({
    trial,
    ...namesOf(trial, entries, stages),
  }))
  return {
    nameSource: (source: SourceName): string => {
      const owner = all.find(({ trial }) =>
        source.kind === 'spec'
          ? trial.revisions.some(({ meters }) => meters.some(({ id }) => id === source.meter))
          : source.where.includes(trial.id),
      )
      return (owner ?? all[0])?.nameSource(withoutState(source)) ?? 'a reading'
    },
    nameEntry: (id: string): string | undefined => {
      for (const { trial, nameEntry } of all) {
        const name = nameEntry(id)
        if (name !== undefined) return `${trial.title}: ${name}`
      }
      return undefined
    },
  }
}
