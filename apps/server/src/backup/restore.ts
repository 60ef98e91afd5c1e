import type { BackupSummary } from '@even-watt/contract'
import { withClient } from '../cluster/client'
import type { Cluster } from '../cluster/cluster'
import { databaseName, ensureOwnDatabase, role } from '../cluster/ownDatabase'
import { StartError } from '../cluster/startError'
import type { Queryable } from '../database/pool'
import { restoreFrom } from './backup'
import { isUntouched } from './untouched'

const restoring = 'even_watt_restoring'

/** The cluster to restore into, and where its data are. */
export interface RestoreGround extends Pick<Cluster, 'url' | 'adminUrl' | 'bin'> {
  readonly folder: string
}

/** Who may come in over the local network is this computer's business, not that of a file. */
async function forgetDoor(client: Queryable): Promise<void> {
  await client.query(`delete from installation where key in ('lan', 'passphrase')`)
  const { rows } = await client.query<{ here: boolean }>(
    `select to_regclass('public.device') is not null as here`,
  )
  if (rows[0]?.here) await client.query('delete from device')
}

/**
 * Restores a backup into an installation that holds nothing, or the demo as it was loaded: beside first, verified there,
 * and only then in its place. One that holds something else is left as it is. A stranger's file may hold any SQL, so it
 * is restored as the application's own role, which may do nothing outside its database.
 */
export async function restoreInto(
  { url, adminUrl, bin, folder }: RestoreGround,
  file: string,
): Promise<BackupSummary> {
  const refuseUsed = () =>
    withClient(url, async (client) => {
      if (await isUntouched(client)) return
      throw new StartError(
        `${folder} holds trials or documents already; nothing was overwritten. Restore into a new folder: EVEN_WATT_DATA=/var/lib/even-watt-2 npm run restore -- even-watt.backup.zip`,
      )
    })
  await refuseUsed()
  await withClient(adminUrl, async (client) => {
    await client.query(`drop database if exists ${restoring} with (force)`)
    await client.query(`create database ${restoring} owner ${role}`)
  })
  try {
    const beside = Object.assign(new URL(url), { pathname: restoring }).href
    const summary = await restoreFrom(file, { bin, url: beside })
    await withClient(beside, forgetDoor)
    // Something may have been captured while it was read.
    await refuseUsed()
    await withClient(adminUrl, async (client) => {
      await client.query(`drop database ${databaseName} with (force)`)
      await client.query(`alter database ${restoring} rename to ${databaseName}`)
    })
    await ensureOwnDatabase(adminUrl, new URL(adminUrl).password)
    return summary
  } catch (error) {
    await withClient(adminUrl, (client) => client.query(`drop database if exists ${restoring} with (force)`))
    throw error
  }
}
