// A PostgreSQL of the tests' own, in a folder of its own, on a free port: it can run beside a running start.
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { pino } from 'pino'
import { register } from 'tsx/esm/api'

export default async function startDatabase() {
  register()
  const { startCluster } = await import('../src/cluster/cluster.ts')
  const { migrate } = await import('../src/database/migrate.ts')
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-test-'))
  const cluster = await startCluster(folder, () => undefined)
  // Prepared once; each test file works on a copy of it.
  const admin = new pg.Client({ connectionString: cluster.adminUrl })
  await admin.connect()
  await admin.query('create database prepared')
  await admin.end()
  const prepared = Object.assign(new URL(cluster.adminUrl), { pathname: 'prepared', search: '' }).href
  await migrate(prepared, pino({ level: 'silent' }))
  process.env.EVEN_WATT_TEST_DATABASE = prepared
  globalThis.evenWattTest = { cluster, folder }
}
