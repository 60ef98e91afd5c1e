import { BackupSummary } from '@even-watt/contract'
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import pg from 'pg'
import * as yauzl from 'yauzl'
import { ZipFile } from 'yazl'
import * as z from 'zod/mini'
import { StartError } from '../cluster/startError'
import { summaryOf } from './summary'

const format = 'even-watt-backup'
const manifestName = 'manifest.json'
const dumpName = 'database.dump'

const Manifest = z.object({
  format: z.literal(format),
  madeAt: z.string(),
  summary: BackupSummary,
  /** SHA-256 of the dump: an archive’s own sums are too weak to be trusted with years of work. */
  sha256: z.string(),
})
type Manifest = z.infer<typeof Manifest>

/** Where the programs of PostgreSQL are, and the database. */
export interface Ground {
  readonly bin: string
  readonly url: string
}

/** Runs one of PostgreSQL's own programs; what it says is in the error where it fails. */
function run(program: string, args: readonly string[]): { output: Readable; done: Promise<void> } {
  const child = spawn(program, args, { stdio: ['ignore', 'pipe', 'pipe'] })
  let said = ''
  child.stderr.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-2000)))
  const done = new Promise<void>((resolve, reject) => {
    child.once('error', reject)
    child.once('close', (code) =>
      code === 0 ? resolve() : reject(new Error(said.trim() || `${program}: ${code}`)),
    )
  })
  // Whoever waits for the output sees its failure too; until then it must not be unhandled.
  done.catch((error: Error) => child.stdout.destroy(error))
  return { output: child.stdout, done }
}

/**
 * The whole installation, blobs too, as one ZIP, made while it runs: the database as it stood at one moment, and a
 * summary of that moment by which a restore is verified.
 */
export async function backupTo(output: NodeJS.WritableStream, { bin, url }: Ground): Promise<BackupSummary> {
  const client = new pg.Client({ connectionString: url })
  client.on('error', () => undefined)
  await client.connect()
  try {
    await client.query('begin transaction isolation level repeatable read read only')
    const { rows } = await client.query<{ snapshot: string }>('select pg_export_snapshot() as snapshot')
    const summary = await summaryOf(client)
    const dump = run(join(bin, 'pg_dump'), [
      `--dbname=${url}`,
      '--format=custom',
      '--no-owner',
      '--no-privileges',
      `--snapshot=${rows[0]?.snapshot ?? ''}`,
    ])
    const zip = new ZipFile()
    const hash = createHash('sha256')
    dump.output.on('data', (chunk: Buffer) => hash.update(chunk))
    zip.addReadStream(dump.output, dumpName, { compress: false })
    const written = pipeline(zip.outputStream, output)
    // An answer that is broken off ends the dump too.
    written.catch(() => dump.output.destroy())
    await dump.done
    const manifest: Manifest = {
      format,
      madeAt: new Date().toISOString(),
      summary,
      sha256: hash.digest('hex'),
    }
    zip.addBuffer(Buffer.from(JSON.stringify(manifest, null, 1)), manifestName)
    zip.end()
    await written
    return summary
  } finally {
    await client.end()
  }
}

const notOne = (why: string) => new StartError(`This is no whole backup of Even Watt: ${why}`)

const parts = (zip: yauzl.ZipFile) =>
  new Promise<Map<string, yauzl.Entry>>((resolve, reject) => {
    const found = new Map<string, yauzl.Entry>()
    zip.on('entry', (entry: yauzl.Entry) => {
      found.set(entry.fileName, entry)
      zip.readEntry()
    })
    zip.once('end', () => resolve(found))
    zip.once('error', reject)
    zip.readEntry()
  })

const streamOf = (zip: yauzl.ZipFile, entry: yauzl.Entry) =>
  new Promise<Readable>((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  )

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

async function manifestIn(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Manifest> {
  if (entry.uncompressedSize > 2 ** 20) throw notOne('its manifest is too large.')
  const chunks: Buffer[] = []
  for await (const chunk of await streamOf(zip, entry)) chunks.push(chunk as Buffer)
  const manifest = z.safeParse(Manifest, jsonOf(Buffer.concat(chunks).toString()))
  if (!manifest.success) throw notOne('its manifest is another’s.')
  return manifest.data
}

/** Reads a backup, checks every byte of it, and hands its dump over as a file. */
async function withDump<T>(file: string, use: (dump: string, manifest: Manifest) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'even-watt-restore-'))
  const zip = await new Promise<yauzl.ZipFile>((resolve, reject) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false }, (error, found) =>
      error ? reject(notOne('it may be cut off.')) : resolve(found),
    ),
  )
  try {
    const found = await parts(zip)
    const [manifest, dump] = [found.get(manifestName), found.get(dumpName)]
    if (!manifest || !dump) throw notOne('a part of it is missing.')
    // Ours stands unpacked; one that would swell as it is unpacked could fill the disk.
    if (dump.compressionMethod !== 0) throw notOne('it is packed in another way.')
    const path = join(folder, dumpName)
    const hash = createHash('sha256')
    const stream = await streamOf(zip, dump)
    stream.on('data', (chunk: Buffer) => hash.update(chunk))
    await pipeline(stream, createWriteStream(path))
    const told = await manifestIn(zip, manifest)
    if (hash.digest('hex') !== told.sha256) throw notOne('it was damaged since it was made.')
    return await use(path, told)
  } finally {
    zip.close()
    await rm(folder, { recursive: true, force: true })
  }
}

/** Reads a backup through: every byte, and what PostgreSQL makes of it. */
export const verifyBackup = (file: string, { bin }: Pick<Ground, 'bin'>): Promise<void> =>
  withDump(file, async (dump) => {
    const listed = run(join(bin, 'pg_restore'), ['--list', dump])
    listed.output.resume()
    await listed.done
  })

/**
 * Restores a backup into an empty database, then works its summary out again: what is not equal to what was backed up
 * is no restore, and is said. `url` is the superuser's.
 */
export const restoreFrom = (file: string, { bin, url }: Ground): Promise<BackupSummary> =>
  withDump(file, async (dump, manifest) => {
    const restored = run(join(bin, 'pg_restore'), [
      `--dbname=${url}`,
      '--no-owner',
      '--no-privileges',
      '--exit-on-error',
      '--single-transaction',
      dump,
    ])
    restored.output.resume()
    await restored.done.catch((error: Error) => {
      throw notOne(`PostgreSQL does not take it. ${error.message}`)
    })
    const client = new pg.Client({ connectionString: url })
    client.on('error', () => undefined)
    await client.connect()
    try {
      const summary = await summaryOf(client)
      if (JSON.stringify(summary) !== JSON.stringify(manifest.summary))
        throw new StartError('What was restored is not what was backed up. Nothing was taken over.')
      return summary
    } finally {
      await client.end()
    }
  })
