import { kindsWithFile, mostFile, partSize } from '@even-watt/contract'
import { createHash } from 'node:crypto'
import type { Pool, PoolClient } from 'pg'
import { transaction, type Queryable } from '../database/pool'
import { notFound, ProblemError } from '../http/problem'

/** How far a file has come. */
export interface BlobState {
  readonly size: number
  readonly whole: boolean
  /** Numbers of the parts that are here. */
  readonly parts: readonly number[]
}

const sizeOfPart = (size: number, number: number) => Math.min(partSize, size - number * partSize)
export const partsOf = (size: number) => Math.ceil(size / partSize)

export async function blobState(db: Queryable, sha256: string): Promise<BlobState | undefined> {
  const { rows } = await db.query<{ size: string; whole: boolean; parts: number[] }>(
    `select size, whole, array(select number from blob_part where sha256 = blob.sha256 order by number) as parts
     from blob where sha256 = $1`,
    [sha256],
  )
  const row = rows[0]
  return row && { size: Number(row.size), whole: row.whole, parts: row.parts }
}

/**
 * Stores one part of a file of `size` bytes. Parts may come in any order, and again; with the last one the whole is
 * verified against its name, and what does not fit it is dropped.
 */
export async function putPart(
  pool: Pool,
  sha256: string,
  { size, number, bytes }: { size: number; number: number; bytes: Buffer },
): Promise<BlobState> {
  if (size > mostFile)
    throw new ProblemError(
      413,
      `A file of ${Math.ceil(size / 2 ** 20)} MB is too large: up to 64 MB is taken.`,
    )
  if (number >= partsOf(size) || bytes.length !== sizeOfPart(size, number))
    throw new ProblemError(
      422,
      'This part does not fit its file.',
      `Part ${number} of ${size} bytes has ${bytes.length} bytes; parts have ${partSize}, the last one what is left.`,
    )
  return transaction(pool, async (client) => {
    // Nobody knows yet which size is true: what was begun with another one gives way, for it can never come out right.
    await client.query('delete from blob where sha256 = $1 and size <> $2 and not whole', [sha256, size])
    await client.query('insert into blob (sha256, size) values ($1, $2) on conflict do nothing', [
      sha256,
      size,
    ])
    const { rows } = await client.query<{ size: string; whole: boolean }>(
      'select size, whole from blob where sha256 = $1 for update',
      [sha256],
    )
    if (Number(rows[0]?.size) !== size)
      throw new ProblemError(409, 'These bytes are known here with another size.')
    if (!rows[0]?.whole)
      await client.query(
        'insert into blob_part (sha256, number, bytes) values ($1, $2, $3) on conflict (sha256, number) do nothing',
        [sha256, number, bytes],
      )
    const state = await blobState(client, sha256)
    if (!state) throw notFound('This file')
    if (state.whole || state.parts.length < partsOf(size)) return state
    if ((await hashOf(client, sha256)) !== sha256) return { ...state, parts: [] }
    await client.query('update blob set whole = true where sha256 = $1', [sha256])
    return { ...state, whole: true }
  }).then(async (state) => {
    if (state.parts.length) return state
    await pool.query('delete from blob where sha256 = $1 and not whole', [sha256])
    throw new ProblemError(
      422,
      'These bytes are not those that their name says.',
      'Send the file again from its start.',
    )
  })
}

/** Stores a whole file that is at hand, part by part. */
export async function putBytes(pool: Pool, sha256: string, bytes: Buffer): Promise<void> {
  for (let number = 0; number < partsOf(bytes.length); number++)
    await putPart(pool, sha256, {
      size: bytes.length,
      number,
      bytes: bytes.subarray(number * partSize, (number + 1) * partSize),
    })
}

async function hashOf(client: PoolClient, sha256: string): Promise<string> {
  const hash = createHash('sha256')
  for await (const bytes of readParts(client, sha256, 0)) hash.update(bytes)
  return hash.digest('hex')
}

/** The parts of a file in order, from one on, one at a time: a file is never in memory as a whole. */
export async function* readParts(db: Queryable, sha256: string, from: number): AsyncGenerator<Buffer, void> {
  for (let number = from; ; number++) {
    const { rows } = await db.query<{ bytes: Buffer }>(
      'select bytes from blob_part where sha256 = $1 and number = $2',
      [sha256, number],
    )
    const [row] = rows
    if (!row) return
    yield row.bytes
  }
}

/** Bytes from `start` to `end`, both included, as a range of HTTP has it. */
export async function* readRange(
  db: Queryable,
  sha256: string,
  start: number,
  end: number,
): AsyncGenerator<Buffer, void> {
  const first = Math.floor(start / partSize)
  let at = first * partSize
  for await (const bytes of readParts(db, sha256, first)) {
    yield bytes.subarray(Math.max(0, start - at), end + 1 - at)
    at += bytes.length
    if (at > end) return
  }
}

/** Drops bytes that nobody refers to a day after they were begun; returns how many files that were. */
export async function sweepBlobs(pool: Pool, olderThan = '1 day'): Promise<number> {
  const { rowCount } = await pool.query(
    `delete from blob where begun_at < now() - $1::interval
     and not exists (select 1 from entry where kind = any($2::text[]) and body #>> '{reading,sha256}' = blob.sha256)
     and not exists (select 1 from edition where edition.sha256 = blob.sha256)`,
    [olderThan, kindsWithFile],
  )
  return rowCount ?? 0
}
