import { mostFile, mostFiles, partSize, type AttachedFile } from '@even-watt/contract'
import { mkdtemp, rm } from 'node:fs/promises'
import { createWriteStream } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { Pool } from 'pg'
import * as yauzl from 'yauzl'
import { ZipFile } from 'yazl'
import { blobState, partsOf, putPart, readParts } from '../files/blobs'
import { ProblemError } from '../http/problem'
import { slicesOf } from '../http/slices'
import { refuseNoPhotograph } from '../photographs/check'

const documentName = 'trial.json'
const fileFolder = 'files/'
/** The document itself, at most. */
const mostDocument = 64 * 2 ** 20
const mostParts = 10_000

/** How many of the files that a trial names are not here. */
export async function missingFiles(pool: Pool, named: readonly string[]): Promise<number> {
  const { rowCount } = await pool.query('select 1 from blob where whole and sha256 = any($1::text[])', [
    named,
  ])
  return named.length - (rowCount ?? 0)
}

/** A trial and its files as one ZIP, made while it is read: trial.json, and each file under its SHA-256. */
export function archiveOf(
  pool: Pool,
  { json, files }: { readonly json: Uint8Array; readonly files: readonly AttachedFile[] },
): NodeJS.ReadableStream {
  const zip = new ZipFile()
  const output = new Transform({ transform: (chunk, _encoding, done) => done(null, chunk) })
  zip.addReadStream(slicesOf(json), documentName)
  void (async () => {
    for (const { sha256, type } of files) {
      if (!(await blobState(pool, sha256))?.whole) continue
      // Photographs do not get smaller by packing.
      zip.addReadStream(Readable.from(readParts(pool, sha256, 0)), `${fileFolder}${sha256}`, {
        compress: !type.startsWith('image/'),
      })
    }
    zip.end()
  })().catch((error: unknown) => output.destroy(error instanceof Error ? error : new Error(String(error))))
  zip.outputStream.pipe(output)
  return output
}

const refused = (detail: string) => new ProblemError(422, 'This archive cannot be taken in.', detail)

/** A stream cut off, with a sentence, once it is longer than it may be. */
function bounded(most: number, what: string): Transform {
  let bytes = 0
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length
      if (bytes > most)
        done(new ProblemError(413, `${what} is larger than ${Math.round(most / 2 ** 20)} MB.`))
      else done(null, chunk)
    },
  })
}

/** Reads one part of an archive, unpacked, no further than `most` bytes, whatever its heading says. */
async function unpack(zip: yauzl.ZipFile, entry: yauzl.Entry, most: number): Promise<AsyncIterable<Buffer>> {
  const unread = (error: Error) => refused(`“${entry.fileName}” in it cannot be unpacked: ${error.message}.`)
  const stream = await new Promise<Readable>((resolve, reject) =>
    zip.openReadStream(entry, (error, found) => (error ? reject(unread(error)) : resolve(found))),
  )
  const whole = bounded(most, entry.fileName)
  stream.on('error', (error) => whole.destroy(unread(error)))
  return stream.pipe(whole) as AsyncIterable<Buffer>
}

/**
 * Takes an archive from a stranger apart: its files are stored, verified by their names, and the bytes of its document are
 * handed over. Sizes, counts and names are bounded; a part that is neither is refused.
 */
export async function takeArchive(pool: Pool, body: NodeJS.ReadableStream): Promise<Uint8Array> {
  const folder = await mkdtemp(join(tmpdir(), 'even-watt-import-'))
  try {
    const path = join(folder, 'archive.zip')
    await pipeline(body, bounded(mostFiles + mostDocument, 'This archive'), createWriteStream(path))
    return await readArchive(pool, path)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

async function readArchive(pool: Pool, path: string): Promise<Uint8Array> {
  const zip = await new Promise<yauzl.ZipFile>((resolve, reject) =>
    yauzl.open(path, { lazyEntries: true, autoClose: false }, (error, found) =>
      error ? reject(refused('It is no whole ZIP archive; it may be cut off.')) : resolve(found),
    ),
  )
  try {
    if (zip.entryCount > mostParts) throw refused(`It has more than ${mostParts} parts.`)
    let document: Uint8Array | undefined
    let stored = 0
    for await (const entry of partsIn(zip)) {
      if (entry.fileName === documentName) {
        if (document !== undefined) throw refused(`It has more than one ${documentName}.`)
        document = await readDocument(zip, entry)
      } else if (/^files\/[0-9a-f]{64}$/.test(entry.fileName)) {
        stored += entry.uncompressedSize
        if (stored > mostFiles) throw refused('Its files are more than 1 GB.')
        await storeFile(pool, zip, entry)
      } else throw refused(`“${entry.fileName.slice(0, 100)}” is no part of a trial.`)
    }
    if (document === undefined) throw refused(`There is no ${documentName} in it.`)
    return document
  } finally {
    zip.close()
  }
}

async function* partsIn(zip: yauzl.ZipFile): AsyncGenerator<yauzl.Entry, void> {
  for (;;) {
    const entry = await new Promise<yauzl.Entry | undefined>((resolve, reject) => {
      zip.once('entry', resolve)
      zip.once('end', () => resolve(undefined))
      zip.once('error', (error: Error) => reject(refused(error.message)))
      zip.readEntry()
    })
    zip.removeAllListeners()
    if (!entry) return
    yield entry
  }
}

async function readDocument(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Uint8Array> {
  const chunks: Buffer[] = []
  for await (const chunk of await unpack(zip, entry, mostDocument)) chunks.push(chunk)
  return Buffer.concat(chunks)
}

/** Stores a file of an archive part by part, as if it were sent; what is not what its name says is refused there. */
async function storeFile(pool: Pool, zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<void> {
  const sha256 = entry.fileName.slice(fileFolder.length)
  const size = entry.uncompressedSize
  if (!size || size > mostFile) throw refused(`A file in it has ${size} bytes; 1 byte to 64 MB are taken.`)
  if ((await blobState(pool, sha256))?.whole) return
  let number = 0
  let pending = Buffer.alloc(0)
  const put = async (bytes: Buffer) => {
    await putPart(pool, sha256, { size, number, bytes })
    number += 1
  }
  for await (const chunk of await unpack(zip, entry, size)) {
    pending = Buffer.concat([pending, chunk])
    while (pending.length >= partSize && number < partsOf(size) - 1) {
      await put(pending.subarray(0, partSize))
      pending = pending.subarray(partSize)
    }
  }
  await put(pending)
  await refuseNoPhotograph(pool, sha256)
}
