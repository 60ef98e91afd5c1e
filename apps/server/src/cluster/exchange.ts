import type pg from 'pg'
import { databaseName } from './names'

/** Where a backup is restored, beside what stands. */
export const restoring = 'even_watt_restoring'
/** What stood, until it is dropped. */
const replaced = 'even_watt_replaced'

const attempts = 5

/**
 * Puts what was restored in the place of what stood: both are renamed in one transaction, so that a computer that dies over it
 * finds the one or the other, whole; then what stood is dropped. A database that is dropped itself, and killed over it, could
 * never be opened again.
 */
export async function exchange(client: pg.Client): Promise<void> {
  await client.query(`drop database if exists ${replaced} with (force)`)
  for (let attempt = 1; ; attempt++) {
    await client.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = any($1)', [
      [databaseName, restoring],
    ])
    try {
      await client.query('begin')
      await client.query(`alter database ${databaseName} rename to ${replaced}`)
      await client.query(`alter database ${restoring} rename to ${databaseName}`)
      await client.query('commit')
      break
    } catch (error) {
      await client.query('rollback')
      // Somebody connected in between.
      if (attempt === attempts) throw error
    }
  }
  await client.query(`drop database if exists ${replaced} with (force)`)
}

/**
 * Takes up what a kill in the midst of a restore left: what had been replaced is dropped, and where an earlier Even Watt was killed
 * while it dropped what stood, what it had restored comes in its place.
 */
export async function finishExchange(client: pg.Client): Promise<void> {
  await client.query(`drop database if exists ${replaced} with (force)`)
  const { rows } = await client.query<{ datname: string; broken: boolean }>(
    `select datname, datconnlimit = -2 as broken from pg_database where datname = any($1)`,
    [[databaseName, restoring]],
  )
  const broken = (name: string) => rows.find(({ datname }) => datname === name)?.broken
  if (!broken(databaseName)) return
  await client.query(`drop database ${databaseName} with (force)`)
  if (broken(restoring) === false) await client.query(`alter database ${restoring} rename to ${databaseName}`)
}
