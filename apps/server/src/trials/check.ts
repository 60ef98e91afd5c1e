import type { Entry } from '@even-watt/contract'
import type { Pool, PoolClient } from 'pg'
import { ProblemError } from '../http/problem'

type Queryable = Pick<Pool, 'query'> | PoolClient
type Fields = NonNullable<ProblemError['fields']>

/** The other entry an entry speaks of, when it does. */
const referenceOf = (entry: Entry): string | undefined =>
  entry.kind === 'take back' || entry.kind === 'keep' ? entry.entry : entry.replaces?.entry

/** What the contract cannot see: the revision exists, and what is taken back or corrected is there. */
export function faultsIn(
  entries: readonly Entry[],
  revisions: ReadonlySet<number>,
  known: ReadonlySet<string>,
): Fields {
  const here = new Set([...known, ...entries.map((entry) => entry.id)])
  return entries.flatMap((entry, i) => {
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

/** Throws a problem when entries do not fit the trial, or an id already belongs to another one. */
export async function checkEntries(
  db: Queryable,
  trial: string,
  entries: readonly Entry[],
  revisions: ReadonlySet<number>,
): Promise<void> {
  const ids = [
    ...entries.map((entry) => entry.id),
    ...entries.map(referenceOf).filter((id) => id !== undefined),
  ]
  const { rows } = await db.query<{ id: string; trial: string }>(
    'select id, trial from entry where id = any($1::uuid[])',
    [ids],
  )
  const known = new Set(rows.filter((row) => row.trial === trial).map((row) => row.id))
  const fields = faultsIn(entries, revisions, known)
  if (fields.length) throw new ProblemError(422, 'Some entries do not fit this trial.', undefined, fields)
  const sent = new Set(entries.map((entry) => entry.id))
  if (rows.some((row) => row.trial !== trial && sent.has(row.id))) {
    throw new ProblemError(409, 'An entry with the same id belongs to another trial.')
  }
}
