import { randomUUID } from 'node:crypto'
import pg, { type Pool } from 'pg'
import { pino } from 'pino'
import { openFeed, type Feed } from '../src/database/feed'
import { createPool } from '../src/database/pool'

export const silent = pino({ level: 'silent' })

/** A database of this test file's own, copied from the prepared one; dropped when the file is done. */
export function ownDatabase(): { readonly pool: () => Pool; readonly feed: () => Feed } {
  const prepared = process.env['EVEN_WATT_TEST_DATABASE'] ?? ''
  const name = `test_${randomUUID().replaceAll('-', '')}`
  const at = (database: string) => Object.assign(new URL(prepared), { pathname: database }).href
  const administer = async (sql: string) => {
    const client = new pg.Client({ connectionString: at('postgres') })
    await client.connect()
    await client.query(sql)
    await client.end()
  }
  let pool: Pool | undefined
  let feed: Feed | undefined
  const there = <T>(part: T | undefined): T => {
    if (!part) throw new Error('The database is there from the first test on.')
    return part
  }
  beforeAll(async () => {
    await administer(`create database ${name} template ${new URL(prepared).pathname.slice(1)}`)
    pool = createPool(at(name), silent)
    feed = openFeed(at(name), silent)
  })
  afterAll(async () => {
    await feed?.end()
    await pool?.end()
    await administer(`drop database ${name}`)
  })
  return { pool: () => there(pool), feed: () => there(feed) }
}
