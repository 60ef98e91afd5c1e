import type { Entry, EntryOf } from '@even-watt/contract'
import { readPicture, toldIn } from '@even-watt/core/photographs/index'
import type { Queryable } from '../database/pool'
import { readParts } from '../files/blobs'
import { ProblemError } from '../http/problem'

/**
 * What is wrong with the bytes of photographs: they are no picture, another one than is said, or they still tell where
 * and with what they were taken. Bytes that are not here are told of elsewhere. Entries come with their places.
 */
export async function faultsOfPhotographs(
  db: Queryable,
  entries: Iterable<readonly [number, Entry]>,
): Promise<NonNullable<ProblemError['fields']>> {
  const faults: { path: string; message: string }[] = []
  for (const [i, entry] of entries) {
    if (entry.kind !== 'photograph') continue
    const why = await whyNot(db, entry.reading)
    if (why !== undefined)
      faults.push({ path: `${i}.reading.sha256`, message: `${entry.reading.name} ${why}` })
  }
  return faults
}

/** Drops bytes that came after the entry which names them, and are not its photograph; that is said in a problem. */
export async function refuseNoPhotograph(db: Queryable, sha256: string): Promise<void> {
  const { rows } = await db.query<{ reading: EntryOf<'photograph'>['reading'] }>(
    `select body->'reading' as reading from entry where kind = 'photograph' and body #>> '{reading,sha256}' = $1 limit 1`,
    [sha256],
  )
  const why = rows[0] && (await whyNot(db, rows[0].reading))
  if (why === undefined) return
  await db.query('delete from blob where sha256 = $1', [sha256])
  throw new ProblemError(422, 'These bytes are not kept.', `${rows[0]?.reading.name ?? 'It'} ${why}`)
}

async function whyNot(db: Queryable, said: EntryOf<'photograph'>['reading']): Promise<string | undefined> {
  const parts: Buffer[] = []
  let length = 0
  for await (const bytes of readParts(db, said.sha256, 0)) {
    parts.push(bytes)
    length += bytes.length
    if (length > said.size) break
  }
  if (length !== said.size) return undefined
  const picture = readPicture(Buffer.concat(parts))
  if ('why' in picture) return picture.why
  const { type, width, height } = picture
  if (type !== said.type || width !== said.width || height !== said.height)
    return `is a picture of ${width} × ${height} (${type}), not what is said of it.`
  const told = toldIn(picture)
  return told.length
    ? `still tells more than is seen on it (${told.slice(0, 5).join(', ')}): take that out first.`
    : undefined
}
