import { partSize } from '@even-watt/contract'
import type { Readable } from 'node:stream'
import type { Connection } from '../database/pool'
import { notOne, type Archive } from './archive'
import { fileName, rowsName } from './manifest'
import { sumsOf, tablesIn } from './rows'
import type { KeptTable } from './tables'

/** Rows are sent in batches of so many characters, or of one row that is longer. */
const batch = 4 * 2 ** 20
/** Characters of one row: a trial’s settings or a capture have a thousandth of it. */
const mostOfRow = 2 ** 28

/**
 * Puts the rows and bytes of a backup into an empty database that our own migrations have made, and reads them out again:
 * what is not equal to what was backed up is no restore. Rows are handed over as data; no word of the file is run.
 */
export async function fill(client: Connection, { manifest, open }: Archive): Promise<void> {
  await client.query('begin')
  await client.query(`set local timezone = 'UTC'`)
  const tables = await tablesIn(client)
  const named = manifest.tables.map(({ name }) => name)
  if (tables.length !== named.length || tables.some(({ name }, i) => name !== named[i]))
    throw notOne('its tables are not those of its version.')
  for (const table of tables) {
    // An installation that was just made knows a thing or two of itself.
    await client.query(`delete from public.${table.name}`)
    await inBatches(await open(rowsName(table.name)), (rows) => put(client, table, rows))
    if (table.name === 'blob') await putFiles(client, open)
  }
  await client.query(
    `select setval(pg_get_serial_sequence('public.entry', 'sequence'), coalesce((select max(sequence) from entry), 0) + 1, false)`,
  )
  const sums = await sumsOf(client)
  if (JSON.stringify(sums) !== JSON.stringify(manifest.tables))
    throw notOne('what was put back is not what was backed up.')
  await client.query('commit')
}

async function inBatches(lines: Readable, put: (rows: readonly string[]) => Promise<void>): Promise<void> {
  let rows: string[] = []
  let size = 0
  for await (const line of linesIn(lines)) {
    rows.push(line)
    size += line.length
    if (size < batch) continue
    await put(rows)
    rows = []
    size = 0
  }
  if (rows.length) await put(rows)
}

/** Its lines, one at a time; one without an end is not waited for. */
async function* linesIn(stream: Readable): AsyncGenerator<string, void> {
  let held = ''
  for await (const chunk of stream.setEncoding('utf8')) {
    // What was held has no end in it, and is not looked through again.
    const [end = '', ...more] = String(chunk).split('\n')
    held += end
    if (held.length > mostOfRow) throw notOne('a row of it is far too long.')
    for (const next of more) {
      yield held
      held = next
    }
  }
  if (held) yield held
}

async function put(
  client: Connection,
  { name, only = 'true' }: KeptTable,
  rows: readonly string[],
): Promise<void> {
  await client
    .query(
      `insert into public.${name} overriding system value
       select * from json_populate_recordset(null::public.${name}, $1::json) where ${only}`,
      [`[${rows.join(',')}]`],
    )
    .catch((error: unknown) => {
      throw notOne(`its rows of ${name} are not such rows. ${error instanceof Error ? error.message : ''}`)
    })
}

/** The bytes of every file that a row speaks of, in parts as they are kept. */
async function putFiles(client: Connection, open: Archive['open']): Promise<void> {
  const { rows } = await client.query<{ sha256: string; size: string }>('select sha256, size from blob')
  for (const { sha256, size } of rows) {
    let number = 0
    let all = 0
    for await (const bytes of inParts(await open(fileName(sha256)))) {
      await client.query('insert into blob_part (sha256, number, bytes) values ($1, $2, $3)', [
        sha256,
        number++,
        bytes,
      ])
      all += bytes.length
    }
    if (all !== Number(size)) throw notOne('a file of it has another size than is said.')
  }
}

async function* inParts(stream: Readable): AsyncGenerator<Buffer, void> {
  let held = Buffer.alloc(0)
  for await (const chunk of stream) {
    held = Buffer.concat([held, chunk as Buffer])
    while (held.length >= partSize) {
      yield held.subarray(0, partSize)
      held = held.subarray(partSize)
    }
  }
  if (held.length) yield held
}
