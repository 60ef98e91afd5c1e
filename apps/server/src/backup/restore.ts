import pg from 'pg'
import type { Cluster } from '../cluster/cluster'
import { databaseName, ensureOwnDatabase } from '../cluster/ownDatabase'
import { StartError } from '../cluster/startError'
import { restoreFrom } from './backup'
import type { Summary } from './summary'

const restoring = 'even_watt_restoring'

async function asAdmin<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    return await work(client)
  } finally {
    await client.end()
  }
}

const at = (url: string, database: string) => Object.assign(new URL(url), { pathname: database }).href

/** Whether an installation holds anything of its own. */
const isUsed = (url: string) =>
  asAdmin(url, async (client) => {
    const { rows } = await client.query<{ here: boolean }>(
      `select to_regclass('public.trial') is not null as here`,
    )
    if (!rows[0]?.here) return false
    const used = await client.query(
      'select 1 from trial union all select 1 from unit union all select 1 from meter union all select 1 from rig limit 1',
    )
    return Boolean(used.rowCount)
  })

/**
 * Restores a backup into the cluster of a fresh installation: beside first, verified there, and only then in its place.
 * An installation that holds something is left as it is.
 */
export async function restoreInto(
  { adminUrl, bin }: Cluster,
  folder: string,
  file: string,
): Promise<Summary> {
  if (await isUsed(at(adminUrl, databaseName)))
    throw new StartError(
      `${folder} holds trials or documents already; nothing was overwritten. Restore into a new folder: EVEN_WATT_DATA=/var/lib/even-watt-2 npm run restore -- ${file}`,
    )
  await asAdmin(adminUrl, async (client) => {
    await client.query(`drop database if exists ${restoring}`)
    await client.query(`create database ${restoring}`)
  })
  try {
    const summary = await restoreFrom(file, { bin, url: at(adminUrl, restoring) })
    await asAdmin(adminUrl, async (client) => {
      await client.query(`drop database ${databaseName} with (force)`)
      await client.query(`alter database ${restoring} rename to ${databaseName}`)
    })
    await ensureOwnDatabase(adminUrl, new URL(adminUrl).password)
    return summary
  } catch (error) {
    await asAdmin(adminUrl, (client) => client.query(`drop database if exists ${restoring}`))
    throw error
  }
}
