import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { StartError } from '../cluster/startError'

export const migrations = fileURLToPath(new URL('../../../../db/migrations', import.meta.url))
export const migrationTable = 'migration'

/** Names of all migrations, in their order. */
export const names = (): string[] =>
  readdirSync(migrations)
    .map((file) => file.replace(/\.sql$/, ''))
    .sort()

/** Data that a newer Even Watt has worked on are left alone, and that is said. */
export async function refuseNewer(connectionString: string): Promise<void> {
  const known = new Set(names())
  const client = new pg.Client({ connectionString })
  await client.connect()
  try {
    const { rows: found } = await client.query<{ here: boolean }>(
      'select to_regclass($1) is not null as here',
      [migrationTable],
    )
    if (!found[0]?.here) return
    const { rows } = await client.query<{ name: string }>(`select name from ${migrationTable}`)
    const newer = rows.map(({ name }) => name).filter((name) => !known.has(name))
    if (newer.length)
      throw new StartError(
        `These data were last used by a newer Even Watt (${newer.join(', ')} is not known here). ` +
          'Start that one, or restore a backup made by this one into a new folder. Nothing was changed.',
      )
  } finally {
    await client.end()
  }
}
