import { madeBy } from '@even-watt/contract'
import type { Writing } from '@even-watt/core'
import type { Pool } from 'pg'
import type { Besides } from '../besides/besides'
import { findText } from './readText'
import { tell } from './tell'

/** What a trial tells follows from this state of it, and from what computes and writes it. */
const stateSql = `concat_ws(' ', $1::text, version, revisions, entries)`

/** Trials that are worked out for one question; the next goes on. */
const atOnce = 12

/** Works out, for some trials, what they tell, as the bench writes; gives how many are left. */
export async function readTold(pool: Pool, besides: Besides, way: Writing): Promise<number> {
  const { rows } = await pool.query<{ id: string; state: string; left: number }>(
    `select id, ${stateSql} as state, count(*) over ()::int as left from trial
     where not exists (select 1 from trial_told where trial = trial.id and state = ${stateSql})
     order by coalesce(last_at, started_at) desc limit ${atOnce}`,
    [[madeBy, ...Object.values(way)].join(' ')],
  )
  for (const { id, state } of rows) {
    const text = await findText(pool, id)
    if (!text) continue
    const { sentences, figures, rated } = await besides.run(tell, text, way)
    await pool.query(
      `insert into trial_told (trial, state, sentences, figures, rated) select $1, $2, $3, $4, $5
       where exists (select 1 from trial where id = $1)
       on conflict (trial) do update set state = excluded.state, sentences = excluded.sentences,
         figures = excluded.figures, rated = excluded.rated`,
      [id, state, JSON.stringify(sentences), JSON.stringify(figures), rated],
    )
  }
  return Math.max(0, (rows[0]?.left ?? 0) - rows.length)
}
