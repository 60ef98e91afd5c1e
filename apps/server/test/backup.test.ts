import { mainsSystems, type Entry } from '@even-watt/contract'
import { writtenDemo } from '@even-watt/bench/written'
import { createHash, randomUUID as newId } from 'node:crypto'
import { createWriteStream, mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import pg from 'pg'
import { ZipFile } from 'yazl'
import { verifyBackup, withArchive } from '../src/backup/archive'
import { gate } from '../src/backup/gate'
import { restoreFrom } from '../src/backup/restore'
import { sumsOf } from '../src/backup/rows'
import { atOneMoment, summaryOf } from '../src/backup/summary'
import { kept, leftOut } from '../src/backup/tables'
import { isUntouched, withUntouchedDemo } from '../src/backup/untouched'
import { backupTo } from '../src/backup/write'
import { withClient } from '../src/cluster/client'
import { remember } from '../src/database/installation'
import { saveDocument } from '../src/documents/documents'
import { putPart } from '../src/files/blobs'
import { importTrial } from '../src/trials/exchange'
import { appendEntries } from '../src/trials/record'
import { takenOf } from '../src/trials/taken'
import { ownDatabase, silent } from './ownDatabase'
import { createPool, transaction } from '../src/database/pool'

const database = ownDatabase()
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')
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

const start = (number: number): Entry => ({
  id: newId(),
  revision: 1,
  at: '2026-03-12T09:00:00.000Z',
  kind: 'motors',
  reading: { number, load: 'pump', outcome: 'started' },
})
const summaryIn = (url: string) =>
  withClient(url, async (client) => summaryOf(await atOneMoment(client, () => sumsOf(client))))

/** A backup of the parts of another, changed. */
async function forged(
  change: (parts: Map<string, Buffer>, manifest: { schema: string; tables: { name: string }[] }) => void,
): Promise<string> {
  const parts = new Map<string, Buffer>()
  await withArchive(file, async ({ manifest, open }) => {
    const names = [...manifest.tables.map(({ name }) => `tables/${name}.jsonl`), `files/${photograph}`]
    for (const name of names) {
      const chunks: Buffer[] = []
      for await (const chunk of await open(name)) chunks.push(chunk as Buffer)
      parts.set(name, Buffer.concat(chunks))
    }
    change(parts, manifest)
    // Whoever forges makes the sums fit.
    const tables = manifest.tables.map((table) => {
      const bytes = parts.get(`tables/${table.name}.jsonl`) ?? Buffer.alloc(0)
      const rows = bytes.toString().split('\n').length - 1
      return { ...table, rows, sha256: createHash('sha256').update(bytes).digest('hex') }
    })
    parts.set('manifest.json', Buffer.from(JSON.stringify({ ...manifest, tables })))
  })
  const zip = new ZipFile()
  for (const [name, bytes] of parts) zip.addBuffer(bytes, name, { compress: false })
  zip.end()
  const made = join(folder, `${newId()}.zip`)
  await pipeline(zip.outputStream, createWriteStream(made))
  return made
}

const bytes = Buffer.from('a photograph')
const photograph = createHash('sha256').update(bytes).digest('hex')

describe('a backup', () => {
  it('made during entry holds one moment of it, and is restored equal to that, files and all', async () => {
    const pool = database.pool()
    await importTrial(pool, takenOf(ottrel))
    await putPart(pool, photograph, { size: bytes.length, number: 0, bytes })
    await remember(pool, 'settings', JSON.stringify({ mains: mainsSystems[0], currency: 'SEK' }))
    await remember(pool, 'passphrase', 'of this computer')
    let going = true
    let captured = 0
    const entering = (async () => {
      while (going)
        await transaction(pool, (client) => appendEntries(client, ottrel.trial.id, [start(++captured)]))
    })()
    const summary = await backupTo(createWriteStream(file), await here())
    going = false
    await entering
    expect(captured).toBeGreaterThan(1)
    expect(summary).toMatchObject({ trials: 1, files: 1 })
    await verifyBackup(file)
    await onEmpty(async (url) => {
      expect(await restoreFrom(file, url)).toEqual(summary)
      expect(await summaryIn(url)).toEqual(summary)
      const restored = createPool(url, silent)
      const rows = await restored.query('select key from installation')
      expect(rows.rows).toEqual([{ key: 'settings' }])
      // What is captured next comes after all that is there.
      await appendEntries(restored, ottrel.trial.id, [start(1)])
      const last = await restored.query(
        "select (body #>> '{reading,number}')::int as number from entry order by sequence desc limit 1",
      )
      expect(last.rows).toEqual([{ number: 1 }])
      await restored.end()
    })
    // What was captured after that moment is not in it, but here.
    expect((await summaryIn(await here())).entries).toBeGreaterThanOrEqual(summary.entries)
  })

  it('holds every table of the database, or says why not', async () => {
    const { rows } = await database
      .pool()
      .query<{ name: string }>(
        `select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' order by relname`,
      )
    const known = [...kept.map(({ name }) => name), ...Object.keys(leftOut)].sort()
    expect(rows.map(({ name }) => name)).toEqual(known)
  })

  it('cut off, damaged or of something else is refused, and nothing is restored', async () => {
    const whole = readFileSync(file)
    const damaged = join(folder, 'damaged.zip')
    const refused = async () => {
      await expect(verifyBackup(damaged)).rejects.toThrow('This is no whole backup')
      await onEmpty(async (url) => {
        await expect(restoreFrom(damaged, url)).rejects.toThrow('This is no whole backup')
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
    const zipped = async (name: string, content: string, compress: boolean) => {
      const zip = new ZipFile()
      zip.addBuffer(Buffer.from(content), name, { compress })
      zip.end()
      await pipeline(zip.outputStream, createWriteStream(damaged))
      return verifyBackup(damaged)
    }
    await expect(zipped('manifest.json', '{"format":', false)).rejects.toThrow('its manifest is another’s')
    await expect(zipped('manifest.json', '{}', true)).rejects.toThrow('packed in another way')
    await expect(zipped('database.dump', 'PGDMP', false)).rejects.toThrow('of an older kind')
  })

  it('is rows and bytes: what stands in a database besides is not taken along', async () => {
    const odd = join(folder, 'odd.zip')
    await onEmpty(async (url) => {
      await withClient(url, async (client) => {
        await client.query(
          'create function peek(name, name) returns boolean language sql as $$ select true $$',
        )
        await client.query('create operator public.= (leftarg = name, rightarg = name, function = peek)')
        await client.query('create view seen as select 1')
        await client.query('create table beside (x int)')
        await client.query(
          'create function change() returns trigger language plpgsql as $$ begin new.version := 99; return new; end $$',
        )
        await client.query(
          'create trigger change before insert on unit for each row execute function change()',
        )
      })
      await backupTo(createWriteStream(odd), url)
    }, tables)
    await onEmpty(async (url) => {
      await restoreFrom(odd, url)
      const found = await withClient(url, (client) =>
        client.query(
          `select (select count(*)::int from pg_operator where oprnamespace = 'public'::regnamespace) as operators,
             (select count(*)::int from pg_proc where pronamespace = 'public'::regnamespace) as functions,
             to_regclass('seen') as seen, to_regclass('beside') as beside,
             (select count(*)::int from pg_trigger where tgname = 'change') as triggers`,
        ),
      )
      expect(found.rows).toEqual([{ operators: 0, functions: 1, seen: null, beside: null, triggers: 0 }])
    })
  })

  it('of a stranger is refused by what is wrong in it, whatever its sums say', async () => {
    const swap = (table: string, from: RegExp, to: string) =>
      forged((parts) => {
        const name = `tables/${table}.jsonl`
        const before = parts.get(name)?.toString() ?? ''
        expect(before).toMatch(from)
        parts.set(name, Buffer.from(before.replace(from, to)))
      })
    const refused = async (made: string, why: RegExp | string) => {
      await onEmpty(async (url) => {
        await expect(restoreFrom(made, url)).rejects.toThrow(why)
      })
    }
    // A row that the contract does not know, one that is no row, and one that says other than it is.
    await refused(
      await swap('entry', /"outcome": ?"started"/, '"outcome": "<b>flew</b>"'),
      /^This is no whole.*entry \d+/,
    )
    await refused(
      await swap('entry', /"revision":1,/, '"revision":"; drop table entry",'),
      'its rows of entry',
    )
    await refused(await swap('trial', /"entries":\d+/, '"entries":7'), 'beside its rows')
    await refused(await swap('installation', /"key":"settings"/, '"key":"passphrase"'), 'put back')
    await refused(await swap('blob', /"size":\d+/, '"size":5'), 'another size')
    await refused(await forged((parts) => parts.delete(`files/${photograph}`)), 'a part of it is missing')
    await refused(
      await forged((parts) => parts.set('run.sql', Buffer.from('select 1'))),
      '"run.sql" is no part',
    )
    await refused(await forged((_, manifest) => manifest.tables.reverse()), 'not those of its version')
    await refused(await forged((_, manifest) => (manifest.schema = '999_later')), 'made by another Even Watt')
    await refused(
      await forged((_, manifest) => manifest.tables.pop()),
      '"tables/installation.jsonl" is no part',
    )
  })
})

describe('whether an installation may be replaced', () => {
  it('is so while it holds nothing, or the demo alone, and no longer once anything is captured', async () => {
    expect(await withClient(await here(), isUntouched)).toBe(false)
    await onEmpty(async (url) => {
      const untouched = () => withClient(url, isUntouched)
      const own = createPool(url, silent)
      expect(await untouched()).toBe(true)
      await withClient(url, (client) =>
        withUntouchedDemo(client, async () => {
          await importTrial(own, takenOf(ottrel))
        }),
      )
      expect(await untouched()).toBe(true)
      await appendEntries(own, ottrel.trial.id, [start(1)])
      expect(await untouched()).toBe(false)
      // The demo loaded beside work does not make it a demo.
      await withClient(url, (client) => withUntouchedDemo(client, () => Promise.resolve()))
      expect(await untouched()).toBe(false)
      await own.end()
    }, tables)
  })

  it('is not so where anything at all of the tester’s stands: a checklist, a comparison, a diary', async () => {
    for (const table of ['checklist', 'comparison', 'diary'] as const)
      await onEmpty(async (url) => {
        const own = createPool(url, silent)
        await saveDocument(own, table, newId(), 0, { name: 'my own' })
        expect(await withClient(url, isUntouched)).toBe(false)
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
