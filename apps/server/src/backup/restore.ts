import type { BackupSummary } from '@even-watt/contract'
import { pino } from 'pino'
import { withClient } from '../cluster/client'
import type { Cluster } from '../cluster/cluster'
import { exchange, restoring } from '../cluster/exchange'
import { role } from '../cluster/names'
import { StartError } from '../cluster/startError'
import { recall, remember } from '../database/installation'
import { migrate, stepsTo } from '../database/migrate'
import { createPool, type Connection } from '../database/pool'
import { withArchive } from './archive'
import { checkByContract } from './byContract'
import { fill } from './fill'
import { summaryOf } from './summary'
import { isUntouched } from './untouched'

const silent = pino({ level: 'silent' })

/** The cluster to restore into, and where its data are. */
export interface RestoreGround extends Pick<Cluster, 'url' | 'adminUrl'> {
  readonly folder: string
}

/**
 * Restores a backup into an empty database: our own migrations make it as it was when the backup was made, the rows come in
 * as data, the newest migrations follow, and all of it is read by the contract. `url` is the application's own role.
 */
export const restoreFrom = (file: string, url: string): Promise<BackupSummary> =>
  withArchive(file, async (archive) => {
    const { schema, tables } = archive.manifest
    const steps = stepsTo(schema)
    if (steps === undefined)
      throw new StartError(
        `This backup was made by another Even Watt ("${schema.slice(0, 60)}" is not known here). Restore it with that one, or a newer one.`,
      )
    await migrate(url, silent, steps)
    await withClient(url, (client) => fill(client, archive))
    await migrate(url, silent)
    const pool = createPool(url, silent)
    try {
      await checkByContract(pool)
    } finally {
      await pool.end()
    }
    return summaryOf(tables)
  })

/** What the bench chose on this computer, as it is stored; undefined where it was not asked yet. */
async function chosenIn(client: Connection): Promise<string | undefined> {
  const { rows } = await client.query<{ here: boolean }>(
    `select to_regclass('public.installation') is not null as here`,
  )
  return rows[0]?.here ? recall(client, 'settings') : undefined
}

/**
 * Restores a backup into an installation that holds nothing, or the demo as it was loaded: beside first, verified there,
 * and only then in its place. One that holds something else is left as it is, and so is what the bench chose here.
 */
export async function restoreInto(
  { url, adminUrl, folder }: RestoreGround,
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
    const summary = await restoreFrom(file, beside)
    const chosen = await withClient(url, chosenIn)
    if (chosen !== undefined) await withClient(beside, (client) => remember(client, 'settings', chosen))
    // Something may have been captured while it was read.
    await refuseUsed()
    await withClient(adminUrl, exchange)
    return summary
  } catch (error) {
    await withClient(adminUrl, (client) => client.query(`drop database if exists ${restoring} with (force)`))
    throw error
  }
}
