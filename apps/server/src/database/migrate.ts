import { fileURLToPath } from 'node:url'
import { runner } from 'node-pg-migrate'
import type { Logger } from 'pino'

const folder = fileURLToPath(new URL('../../../../db/migrations', import.meta.url))

/** Brings the database forward to the newest numbered migration; safe when several instances start together. */
export async function migrate(databaseUrl: string, log: Logger): Promise<void> {
  const done = await runner({
    databaseUrl,
    dir: folder,
    direction: 'up',
    migrationsTable: 'migration',
    log: (message) => log.debug(message),
    count: Infinity,
  })
  if (done.length) log.info({ migrations: done.map((migration) => migration.name) }, 'database migrated')
}
