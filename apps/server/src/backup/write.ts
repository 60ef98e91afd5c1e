import type { BackupSummary } from '@even-watt/contract'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { ZipFile } from 'yazl'
import { withClient } from '../cluster/client'
import { migrationTable } from '../database/newer'
import type { Connection } from '../database/pool'
import { readParts } from '../files/blobs'
import { fileName, format, manifestName, rowsName, version, type Manifest } from './manifest'
import { linesOf, Summing, tablesIn, type TableSum } from './rows'
import { atOneMoment, summaryOf } from './summary'
import type { KeptTable } from './tables'

/**
 * The whole installation as one ZIP, made while it runs: rows and bytes of one moment, and nothing that could be run. Each
 * table is lines of JSON, each file stands under its SHA-256, and a sheet says what each came to.
 */
export const backupTo = (output: NodeJS.WritableStream, url: string): Promise<BackupSummary> =>
  withClient(url, (client) =>
    atOneMoment(client, async () => {
      const tables = await tablesIn(client)
      const sums: TableSum[] = []
      const zip = new ZipFile()
      const add = (name: string, chunks: () => AsyncIterable<Buffer>) =>
        // Packed it could swell without bound when it is read; most of it are photographs anyway.
        zip.addReadStreamLazy(name, { compress: false }, (ready) => ready(null, Readable.from(chunks())))
      for (const table of tables) add(rowsName(table.name), () => rowsOf(client, table, sums))
      for (const sha256 of await filesIn(client)) add(fileName(sha256), () => readParts(client, sha256, 0))
      const schema = await schemaOf(client)
      add(manifestName, async function* () {
        const manifest: Manifest = { format, version, madeAt: new Date().toISOString(), schema, tables: sums }
        yield await Promise.resolve(Buffer.from(JSON.stringify(manifest, null, 1)))
      })
      const broken = new Promise<never>((_resolve, reject) => zip.once('error', reject))
      zip.end()
      await Promise.race([pipeline(zip.outputStream, output), broken])
      return summaryOf(sums)
    }),
  )

async function* rowsOf(client: Connection, table: KeptTable, sums: TableSum[]): AsyncGenerator<Buffer, void> {
  const sum = new Summing(table.name)
  for await (const lines of linesOf(client, table)) yield sum.take(lines)
  sums.push(sum.done())
}

async function filesIn(client: Connection): Promise<string[]> {
  const { rows } = await client.query<{ sha256: string }>(
    'select sha256 from blob where whole order by sha256',
  )
  return rows.map(({ sha256 }) => sha256)
}

async function schemaOf(client: Connection): Promise<string> {
  const { rows } = await client.query<{ name: string }>(
    `select name from ${migrationTable} order by id desc limit 1`,
  )
  return rows[0]?.name ?? ''
}
