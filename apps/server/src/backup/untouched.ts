import type { BackupSummary } from '@even-watt/contract'
import { recall, remember } from '../database/installation'
import type { Connection } from '../database/pool'
import { sumsOf } from './rows'
import { atOneMoment, summaryOf } from './summary'

const key = 'demo-content'

/** What a tester has put here; what the bench chose is kept by a restore, so it hinders none. */
async function heldBy(client: Connection): Promise<BackupSummary> {
  const sums = await atOneMoment(client, () => sumsOf(client))
  return summaryOf(sums.filter(({ name }) => name !== 'installation'))
}

/**
 * Loads the demo into a new installation and remembers what it came to, so that it can be told from work. To be done
 * before anybody can write.
 */
export async function withUntouchedDemo(client: Connection, load: () => Promise<void>): Promise<void> {
  const untouched = await isUntouched(client)
  await load()
  if (untouched) await remember(client, key, (await heldBy(client)).hash)
}

/** Whether an installation holds nothing of its own: nothing at all, or the demo as it was loaded. */
export async function isUntouched(client: Connection): Promise<boolean> {
  const { rows } = await client.query<{ here: boolean }>(
    `select to_regclass('public.trial') is not null as here`,
  )
  if (!rows[0]?.here) return true
  const { trials, entries, documents, files, hash } = await heldBy(client)
  return trials + entries + documents + files === 0 || (await recall(client, key)) === hash
}
