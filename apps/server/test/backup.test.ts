import { writtenDemo } from '@even-watt/bench/written'
import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { createWriteStream } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createHash, randomUUID as newId } from 'node:crypto'
import { pipeline } from 'node:stream/promises'
import pg from 'pg'
import { ZipFile } from 'yazl'
import { backupTo, restoreFrom, verifyBackup } from '../src/backup/backup'
import { gate } from '../src/backup/gate'
import { summaryOf } from '../src/backup/summary'
import { isUntouched, withUntouchedDemo } from '../src/backup/untouched'
import { installedPostgres } from '../src/cluster/binaries'
import { putPart } from '../src/files/blobs'
import { importTrial } from '../src/trials/exchange'
import { appendEntries } from '../src/trials/record'
import { ownDatabase } from './ownDatabase'

const database = ownDatabase()
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')
const bin = installedPostgres()[0]?.bin ?? ''
const folder = mkdtempSync(join(tmpdir(), 'even-watt-backup-'))
const file = join(folder, 'all.backup.zip')
afterAll(() => rmSync(folder, { recursive: true }))

const urlOf = (name: string) =>
  Object.assign(new URL(process.env['EVEN_WATT_TEST_DATABASE'] ?? ''), { pathname: name }).href
const tables = new URL(process.env['EVEN_WATT_TEST_DATABASE'] ?? '').pathname.slice(1)
/** Works on an empty database of its own; with the tables in it, where it is made after the prepared one. */
async function onEmpty<T>(work: (url: string) => Promise<T>, template = 'template1'): Promise<T> {
  const name = `restored_${newId().replaceAll('-', '')}`
  const admin = new pg.Client({ connectionString: urlOf('postgres') })
  admin.on('error', () => undefined)
  await admin.connect()
  try {
    await admin.query(`create database ${name} template ${template}`)
    return await work(urlOf(name))
  } finally {
    await admin.query(`drop database ${name} with (force)`)
    await admin.end()
  }
}
const here = async () => {
  const { rows } = await database.pool().query<{ name: string }>('select current_database() as name')
  return urlOf(rows[0]?.name ?? '')
}

describe('a backup', () => {
  it('made during entry holds one moment of it, and is restored equal to that, files and all', async () => {
    const pool = database.pool()
    await importTrial(pool, ottrel)
    const bytes = Buffer.from('a photograph')
    await putPart(pool, createHash('sha256').update(bytes).digest('hex'), {
      size: bytes.length,
      number: 0,
      bytes,
    })
    let going = true
    let captured = 0
    const entering = (async () => {
      while (going) {
        captured += 1
        await appendEntries(pool, ottrel.trial.id, [
          {
            id: newId(),
            revision: 1,
            at: '2026-03-12T09:00:00.000Z',
            kind: 'motors',
            reading: { number: captured, load: 'pump', outcome: 'started' },
          },
        ])
      }
    })()
    const summary = await backupTo(createWriteStream(file), { bin, url: await here() })
    going = false
    await entering
    expect(captured).toBeGreaterThan(1)
    expect(summary).toMatchObject({ trials: 1, files: 1 })
    await verifyBackup(file, { bin })
    await onEmpty(async (url) => {
      expect(await restoreFrom(file, { bin, url })).toEqual(summary)
    })
    // What was captured after that moment is not in it, but here.
    expect((await summaryOf(pool)).entries).toBeGreaterThanOrEqual(summary.entries)
  })

  it('cut off, damaged or of something else is refused, and nothing is restored', async () => {
    const whole = readFileSync(file)
    const damaged = join(folder, 'damaged.zip')
    const refused = async () => {
      await expect(verifyBackup(damaged, { bin })).rejects.toThrow()
      await onEmpty(async (url) => {
        await expect(restoreFrom(damaged, { bin, url })).rejects.toThrow()
      })
    }
    writeFileSync(damaged, whole)
    truncateSync(damaged, whole.length >> 1)
    await refused()
    const flipped = Buffer.from(whole)
    flipped[whole.length >> 1] = (flipped[whole.length >> 1] ?? 0) ^ 0xff
    writeFileSync(damaged, flipped)
    await refused()
    writeFileSync(damaged, 'not a backup')
    await refused()
    const zipped = async (manifest: string, compress: boolean) => {
      const zip = new ZipFile()
      zip.addBuffer(Buffer.alloc(10_000), 'database.dump', { compress })
      zip.addBuffer(Buffer.from(manifest), 'manifest.json')
      zip.end()
      await pipeline(zip.outputStream, createWriteStream(damaged))
      return verifyBackup(damaged, { bin })
    }
    await expect(zipped('{"format":', false)).rejects.toThrow('its manifest is another’s')
    await expect(zipped('{}', true)).rejects.toThrow('packed in another way')
  })

  it('of a stranger is restored without a superuser’s rights: a function that reads the server’s files is refused', async () => {
    const hostile = join(folder, 'hostile.zip')
    await onEmpty(async (url) => {
      const client = new pg.Client({ connectionString: url })
      await client.connect()
      await client.query("create function peek(text) returns text language internal as 'pg_read_file_all'")
      await client.end()
      await backupTo(createWriteStream(hostile), { bin, url })
    }, tables)
    const plain = `plain_${newId().replaceAll('-', '')}`
    const admin = new pg.Client({ connectionString: urlOf('postgres') })
    await admin.connect()
    await admin.query(`create role ${plain} login password 'plain'`)
    await onEmpty(async (url) => {
      const name = new URL(url).pathname.slice(1)
      await admin.query(`alter database ${name} owner to ${plain}`)
      const asPlain = Object.assign(new URL(url), { username: plain, password: 'plain' }).href
      await expect(restoreFrom(hostile, { bin, url: asPlain })).rejects.toThrow('permission denied')
      await restoreFrom(file, { bin, url: asPlain })
    })
    await admin.query(`drop role ${plain}`)
    await admin.end()
  })

  it('whose content is not what was summed up is not taken for a restore', async () => {
    await onEmpty(async (url) => {
      await restoreFrom(file, { bin, url })
      const client = new pg.Client({ connectionString: url })
      client.on('error', () => undefined)
      await client.connect()
      const before = await summaryOf(client)
      await client.query('alter table entry disable trigger all')
      await client.query(
        `update entry set body = body || '{"at": "2000-01-01T00:00:00Z"}' where kind = 'motors'`,
      )
      const after = await summaryOf(client)
      await client.end()
      expect(after.entries).toBe(before.entries)
      expect(after.hash).not.toBe(before.hash)
    })
  })
})

describe('whether an installation may be replaced', () => {
  it('is so while it holds nothing, or the demo alone, and no longer once anything is captured', async () => {
    const pool = database.pool()
    await pool.query('delete from blob')
    expect(await isUntouched(pool)).toBe(false)
    await onEmpty(async (url) => {
      const own = new pg.Pool({ connectionString: url })
      own.on('error', () => undefined)
      expect(await isUntouched(own)).toBe(true)
      await withUntouchedDemo(own, async () => {
        await importTrial(own, ottrel)
      })
      expect(await isUntouched(own)).toBe(true)
      await appendEntries(own, ottrel.trial.id, [
        {
          id: newId(),
          revision: 1,
          at: '2026-03-12T09:00:00.000Z',
          kind: 'motors',
          reading: { number: 1, load: 'pump', outcome: 'started' },
        },
      ])
      expect(await isUntouched(own)).toBe(false)
      // The demo loaded beside work does not make it a demo.
      await withUntouchedDemo(own, () => Promise.resolve())
      expect(await isUntouched(own)).toBe(false)
      await own.end()
    }, tables)
  })

  it('lets one restore in at a time, and nothing beside it', async () => {
    const { handler, shutWhile } = gate()
    const passes = () => {
      let passed = false
      try {
        handler({} as never, {} as never, () => (passed = true))
      } catch {
        passed = false
      }
      return passed
    }
    expect(passes()).toBe(true)
    await shutWhile(async () => {
      expect(passes()).toBe(false)
      await expect(shutWhile(() => Promise.resolve())).rejects.toThrow('restored already')
    })
    await expect(shutWhile(() => Promise.reject(new Error('cut')))).rejects.toThrow('cut')
    expect(passes()).toBe(true)
  })
})
