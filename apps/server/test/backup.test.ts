import { demo } from '@even-watt/bench'
import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { createWriteStream } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createHash, randomUUID as newId } from 'node:crypto'
import pg from 'pg'
import { backupTo, restoreFrom, verifyBackup } from '../src/backup/backup'
import { summaryOf } from '../src/backup/summary'
import { installedPostgres } from '../src/cluster/binaries'
import { putPart } from '../src/files/blobs'
import { importTrial } from '../src/trials/exchange'
import { appendEntries } from '../src/trials/record'
import { ownDatabase } from './ownDatabase'

const database = ownDatabase()
const [ottrel] = demo().trials
if (!ottrel) throw new Error('no demo')
const bin = installedPostgres()[0]?.bin ?? ''
const folder = mkdtempSync(join(tmpdir(), 'even-watt-backup-'))
const file = join(folder, 'all.backup.zip')
afterAll(() => rmSync(folder, { recursive: true }))

const urlOf = (name: string) =>
  Object.assign(new URL(process.env['EVEN_WATT_TEST_DATABASE'] ?? ''), { pathname: name }).href
/** Works on an empty database of its own. */
async function onEmpty<T>(work: (url: string) => Promise<T>): Promise<T> {
  const name = `restored_${newId().replaceAll('-', '')}`
  const admin = new pg.Client({ connectionString: urlOf('postgres') })
  admin.on('error', () => undefined)
  await admin.connect()
  try {
    await admin.query(`create database ${name}`)
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
