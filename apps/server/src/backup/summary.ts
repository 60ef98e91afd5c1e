import type { BackupSummary } from '@even-watt/contract'
import { createHash } from 'node:crypto'
import type { Connection } from '../database/pool'
import type { TableSum } from './rows'
import { kept } from './tables'

/** What a tester is told of sums: how many there are of what, and one hash over all. */
export function summaryOf(sums: readonly TableSum[]): BackupSummary {
  const count = (as: (typeof kept)[number]['as']) =>
    sums
      .filter(({ name }) => kept.find((table) => table.name === name)?.as === as)
      .reduce((all, { rows }) => all + rows, 0)
  return {
    trials: count('trials'),
    entries: count('entries'),
    documents: count('documents'),
    files: count('files'),
    hash: createHash('sha256')
      .update(sums.map(({ name, rows, sha256 }) => `${name} ${rows} ${sha256}\n`).join(''))
      .digest('hex'),
  }
}

/** Works with what a database holds at one moment, and changes nothing. */
export async function atOneMoment<T>(client: Connection, look: () => Promise<T>): Promise<T> {
  await client.query('begin transaction isolation level repeatable read read only')
  try {
    // Moments are told in one zone, whichever the computer stands in.
    await client.query(`set local timezone = 'UTC'`)
    return await look()
  } finally {
    await client.query('rollback').catch(() => undefined)
  }
}
