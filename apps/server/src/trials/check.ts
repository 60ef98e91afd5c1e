import { mostEntries, type Entry } from '@even-watt/contract'
import { isDeepStrictEqual } from 'node:util'
import type { PoolClient } from 'pg'
import { faultsOfFiles } from '../files/check'
import { ProblemError } from '../http/problem'
import { faultsOfPhotographs } from '../photographs/check'
import { doNotFit, faultsIn, referenceOf, type Fields } from './faults'
import { appendEntries, lockTrial } from './record'

// As JSON has it: what is not there and what is undefined are the same, and so are 0 and −0.
const asStored = (entry: Entry): unknown => JSON.parse(JSON.stringify(entry))
const sameContent = (a: Entry, b: Entry) => isDeepStrictEqual(asStored(a), asStored(b))

/** Entries as often as they count: the same one sent twice is one; two that share an id and nothing else are faults. */
export function withoutRepeats(entries: readonly Entry[]): { entries: Entry[]; fields: Fields } {
  const first = new Map<string, Entry>()
  const fields: Fields = []
  entries.forEach((entry, i) => {
    const other = first.get(entry.id)
    if (!other) first.set(entry.id, entry)
    else if (!sameContent(other, entry))
      fields.push({ path: `${i}.id`, message: `Entry ${i + 1} has the id of another one sent with it.` })
  })
  return { entries: [...first.values()], fields }
}

/**
 * Appends entries to a trial, all of them or none. Those stored already are passed over, so that sending again is
 * harmless; returns how many are new. What is acknowledged is stored: another content under an id that is known is
 * refused, never taken for the same.
 */
export async function takeEntries(
  client: PoolClient,
  trial: string,
  sent: readonly Entry[],
): Promise<number> {
  const { entries: held, revisions } = await lockTrial(client, trial)
  const { entries, fields } = withoutRepeats(sent)
  const ids = [
    ...entries.map((entry) => entry.id),
    ...entries.map(referenceOf).filter((id) => id !== undefined),
  ]
  const { rows } = await client.query<{ id: string; trial: string; body: Entry }>(
    'select id, trial, body from entry where id = any($1::uuid[])',
    [ids],
  )
  const stored = new Map(rows.map((row) => [row.id, row]))
  const here = new Set(rows.filter((row) => row.trial === trial).map((row) => row.id))
  entries.forEach((entry, i) => {
    const known = stored.get(entry.id)
    if (known && (known.trial !== trial || !sameContent(known.body, entry)))
      fields.push({
        path: `${i}.id`,
        message: `Entry ${i + 1} has the id of another one that is stored here.`,
      })
  })
  fields.push(
    ...faultsIn(entries, revisions, here),
    ...(await faultsOfFiles(client, trial, entries)),
    ...(await faultsOfPhotographs(client, entries.entries())),
  )
  if (fields.length) throw doNotFit('Some entries do not fit this trial.', fields)
  const fresh = entries.filter(({ id }) => !stored.has(id))
  if (held + fresh.length > mostEntries)
    throw new ProblemError(
      422,
      `A trial holds ${mostEntries} entries at most.`,
      'Begin another trial for what follows.',
    )
  await appendEntries(client, trial, fresh)
  return fresh.length
}
