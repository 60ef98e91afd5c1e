import { runner } from 'node-pg-migrate'
import type { Logger } from 'pino'
import { migrations, migrationTable, names, refuseNewer } from './newer'

/**
 * Brings the database forward to the newest numbered migration; safe when several instances start together. Data that
 * a newer Even Watt has worked on are left alone, and that is said. Where `steps` are given, no more than those are done.
 */
export async function migrate(databaseUrl: string, log: Logger, steps = Infinity): Promise<void> {
  await refuseNewer(databaseUrl)
  const done = await runner({
    databaseUrl,
    dir: migrations,
    direction: 'up',
    migrationsTable: migrationTable,
    log: (message) => log.debug(message),
    count: steps,
  })
  if (done.length) log.info({ migrations: done.map((migration) => migration.name) }, 'database migrated')
}

/** How many migrations there are up to one; undefined where it is not known here. */
export function stepsTo(name: string): number | undefined {
  const at = names().indexOf(name)
  return at < 0 ? undefined : at + 1
}
