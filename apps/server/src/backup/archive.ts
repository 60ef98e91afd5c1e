import { createHash } from 'node:crypto'
import type { Readable } from 'node:stream'
import * as yauzl from 'yauzl'
import * as z from 'zod/mini'
import { StartError } from '../cluster/startError'
import { fileName, Manifest, manifestName, rowsName } from './manifest'

export const notOne = (why: string) => new StartError(`This is no whole backup of Even Watt: ${why}`)

/** Files of a backup, at most; so many photographs no bench has. */
const mostParts = 1_000_000
const mostManifest = 2 ** 20

/** A backup that was read through once: what it says of itself is so. */
export interface Archive {
  readonly manifest: Manifest
  /** The bytes of one of its parts, from their start. */
  readonly open: (name: string) => Promise<Readable>
}

/** Reads a backup through, every byte of it, and then works with it. */
export async function withArchive<T>(file: string, work: (archive: Archive) => Promise<T>): Promise<T> {
  const zip = await new Promise<yauzl.ZipFile>((resolve, reject) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false }, (error, found) =>
      error ? reject(notOne('it may be cut off.')) : resolve(found),
    ),
  )
  try {
    return await work(await read(zip))
  } finally {
    zip.close()
  }
}

/** What is not as it must be is damaged, whatever the ZIP’s reader calls it. */
const read = (zip: yauzl.ZipFile): Promise<Archive> =>
  readThrough(zip).catch((error: unknown) => {
    throw error instanceof StartError ? error : notOne('it was damaged since it was made.')
  })

async function readThrough(zip: yauzl.ZipFile): Promise<Archive> {
  const parts = await partsOf(zip)
  const open = async (name: string): Promise<Readable> => {
    const part = parts.get(name)
    if (!part) throw notOne('a part of it is missing.')
    return streamOf(zip, part)
  }
  const manifest = await manifestIn(parts, open)
  await check(parts, manifest, open)
  return { manifest, open }
}

/** Reads a backup through: every byte against the sum that stands for it. */
export const verifyBackup = (file: string): Promise<void> => withArchive(file, () => Promise.resolve())

const partsOf = (zip: yauzl.ZipFile) =>
  new Promise<Map<string, yauzl.Entry>>((resolve, reject) => {
    const found = new Map<string, yauzl.Entry>()
    if (zip.entryCount > mostParts) reject(notOne('it has too many parts.'))
    zip.on('entry', (entry: yauzl.Entry) => {
      // Ours stand unpacked; one that would swell as it is unpacked could fill the disk.
      if (entry.compressionMethod !== 0) reject(notOne('it is packed in another way.'))
      else if (found.has(entry.fileName)) reject(notOne('it has a part twice.'))
      else {
        found.set(entry.fileName, entry)
        zip.readEntry()
      }
    })
    zip.once('end', () => resolve(found))
    zip.once('error', reject)
    zip.readEntry()
  })

const streamOf = (zip: yauzl.ZipFile, entry: yauzl.Entry) =>
  new Promise<Readable>((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  )

async function manifestIn(parts: ReadonlyMap<string, yauzl.Entry>, open: Archive['open']): Promise<Manifest> {
  if (parts.has('database.dump'))
    throw new StartError(
      'This backup is of an older kind, which could run programs, and is not read any more. Restore it with the Even Watt that made it, start this one on that folder, and back up again.',
    )
  if ((parts.get(manifestName)?.uncompressedSize ?? 0) > mostManifest)
    throw notOne('its manifest is too large.')
  const chunks: Buffer[] = []
  for await (const chunk of await open(manifestName)) chunks.push(chunk as Buffer)
  const manifest = z.safeParse(Manifest, jsonOf(Buffer.concat(chunks).toString()))
  if (!manifest.success) throw notOne('its manifest is another’s.')
  return manifest.data
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

/** Whether every part is there, is what its sum says, and nothing else stands beside them. */
async function check(
  parts: ReadonlyMap<string, yauzl.Entry>,
  { tables }: Manifest,
  open: Archive['open'],
): Promise<void> {
  const sums = new Map(tables.map(({ name, sha256 }) => [rowsName(name), sha256]))
  for (const name of parts.keys())
    if (name.startsWith(fileName(''))) sums.set(name, name.slice(fileName('').length))
  for (const name of parts.keys())
    if (name !== manifestName && !sums.has(name)) throw notOne(`"${name.slice(0, 60)}" is no part of one.`)
  for (const [name, sha256] of sums) {
    const hash = createHash('sha256')
    for await (const chunk of await open(name)) hash.update(chunk as Buffer)
    if (hash.digest('hex') !== sha256) throw notOne('it was damaged since it was made.')
  }
}
