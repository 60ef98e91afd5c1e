import type { Entry } from '@even-watt/contract'
import { ProblemError } from '../http/problem'

export type Fields = NonNullable<ProblemError['fields']>

/** The other entry an entry speaks of, when it does. */
export const referenceOf = (entry: Entry): string | undefined =>
  entry.kind === 'take back' || entry.kind === 'keep'
    ? entry.entry
    : entry.kind === 'doubt' && entry.of.what === 'reading'
      ? entry.of.entry
      : entry.replaces?.entry

/** What the contract cannot see: the revision exists, and what is taken back or corrected is there. */
export function faultsIn(
  entries: readonly Entry[],
  revisions: ReadonlySet<number>,
  known: ReadonlySet<string>,
): Fields {
  const here = new Set([...known, ...entries.map((entry) => entry.id)])
  return entries.flatMap((entry, i) => {
    if (entry.kind === 'worked again') {
      return [
        {
          path: `${i}.kind`,
          message: `Entry ${i + 1} says what the bytes of a capture give: that is worked here and taken from nobody.`,
        },
      ]
    }
    if (!revisions.has(entry.revision)) {
      return [
        {
          path: `${i}.revision`,
          message: `Entry ${i + 1} names rig revision ${entry.revision}, which this trial does not have.`,
        },
      ]
    }
    const reference = referenceOf(entry)
    if (reference !== undefined && (!here.has(reference) || reference === entry.id)) {
      return [
        { path: `${i}.entry`, message: `Entry ${i + 1} speaks of an entry that this trial does not have.` },
      ]
    }
    return []
  })
}

/** At most so many faults are told of at once: a batch of thousands would be answered with megabytes. */
const mostFaults = 20

export const doNotFit = (title: string, fields: Fields) =>
  new ProblemError(422, title, undefined, fields.slice(0, mostFaults))
