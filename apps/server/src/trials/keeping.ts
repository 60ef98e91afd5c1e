import type { Pool } from 'pg'
import { tellOf } from '../database/feed'
import { transaction } from '../database/pool'
import { ProblemError } from '../http/problem'
import { lockTrial, requireTrial } from './record'

export async function isPutAway(pool: Pool, trial: string): Promise<boolean> {
  const { rows } = await pool.query<{ away: boolean }>(
    'select put_away_at is not null as away from trial where id = $1',
    [trial],
  )
  return rows[0]?.away ?? false
}

/** Takes a trial out of the list, or puts it back; nothing of it changes. */
export async function putAway(pool: Pool, trial: string, away: boolean): Promise<void> {
  await requireTrial(pool, trial)
  await pool.query('update trial set put_away_at = case when $2 then now() end where id = $1', [trial, away])
  await tellOf(pool, trial)
}

/**
 * Deletes a whole trial for good, all of it or nothing: the one thing that is ever taken from the record. Its title
 * must be given, as it stands, so that no slip does it. Files that nothing else refers to are swept later.
 */
export async function deleteTrial(pool: Pool, trial: string, title: string): Promise<void> {
  await transaction(pool, async (client) => {
    await lockTrial(client, trial)
    const known = await requireTrial(client, trial)
    if (known.title !== title)
      throw new ProblemError(422, 'This is not the title of the trial.', 'Nothing was deleted.', [
        { path: 'title', message: `Type the title as it stands: ${known.title}` },
      ])
    await client.query(`select set_config('even_watt.deleting', $1, true)`, [trial])
    await client.query('delete from entry where trial = $1', [trial])
    await client.query('delete from revision where trial = $1', [trial])
    await client.query(`delete from edition where kind = 'trial' and of = $1`, [trial])
    await client.query('delete from trial where id = $1', [trial])
    await tellOf(client, trial)
  })
}
