import { runner } from 'node-pg-migrate'
import type { Logger } from 'pino'
import { migrations, migrationTable, refuseNewer } from './newer'

/**
 * Brings the database forward to the newest numbered migration; safe when several instances start together. Data that
 * a newer Even Watt has worked on are left alone, and that is said.
 */
export async function migrate(databaseUrl: string, log: Logger): Promise<void> {
  await refuseNewer(databaseUrl)
  const done = await runner({
    databaseUrl,
    dir: migrations,
    direction: 'up',
    migrationsTable: migrationTable,
    log: (message) => log.debug(message),
    count: Infinity,
  })
  if (done.length) log.info({ migrations: done.map((migration) => migration.name) }, 'database migrated')
}
