import { fileOf, kindsWithFile, mostFiles, type Entry } from '@even-watt/contract'
import type { ProblemError } from '../http/problem'
import type { Queryable } from '../database/pool'

/** What is wrong with files that entries attach: bytes that are not here, or more than a trial may hold. */
export async function faultsOfFiles(
  db: Queryable,
  trial: string,
  entries: readonly Entry[],
): Promise<NonNullable<ProblemError['fields']>> {
  const files = entries.flatMap((entry, i) => {
    const reading = fileOf(entry)
    return reading ? [{ i, reading }] : []
  })
  if (!files.length) return []
  const [{ rows }, held] = await Promise.all([
    db.query<{ sha256: string; size: string }>(
      'select sha256, size from blob where whole and sha256 = any($1::text[])',
      [files.map(({ reading }) => reading.sha256)],
    ),
    db.query<{ bytes: string }>(
      `select coalesce(sum((body #>> '{reading,size}')::bigint), 0) as bytes from entry
       where kind = any($3::text[]) and trial = $1 and not id = any($2::uuid[])`,
      [trial, entries.map(({ id }) => id), kindsWithFile],
    ),
  ])
  const sizes = new Map(rows.map(({ sha256, size }) => [sha256, Number(size)]))
  let bytes = Number(held.rows[0]?.bytes)
  return files.flatMap(({ i, reading }) => {
    bytes += reading.size
    if (sizes.get(reading.sha256) !== reading.size)
      return [{ path: `${i}.reading.sha256`, message: `The bytes of ${reading.name} are not here yet.` }]
    if (bytes > mostFiles)
      return [
        {
          path: `${i}.reading.size`,
          message: `With ${reading.name} the files of this trial are more than 1 GB.`,
        },
      ]
    return []
  })
}
