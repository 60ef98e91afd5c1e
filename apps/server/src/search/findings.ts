import { madeBy } from '@even-watt/contract'
import type { Writing } from '@even-watt/core'
import type { Pool } from 'pg'
import type { Besides } from '../besides/besides'
import { findText } from '../trials/readText'
import { findingSentences } from './findingSentences'

/** A trial's findings follow from this state of it, and from what computes and writes them. */
const stateSql = `concat_ws(' ', $1::text, version, revisions, entries)`

/** Trials whose findings are worked out for one search; the next goes on. */
const atOnce = 12

/** Works out, for some trials, what was found in them, as the bench writes; gives how many are left. */
export async function readFindings(pool: Pool, besides: Besides, way: Writing): Promise<number> {
  const { rows } = await pool.query<{ id: string; state: string; left: number }>(
    `select id, ${stateSql} as state, count(*) over ()::int as left from trial
     where not exists (select 1 from finding_text where trial = trial.id and state = ${stateSql})
     order by coalesce(last_at, started_at) desc limit ${atOnce}`,
    [[madeBy, ...Object.values(way)].join(' ')],
  )
  for (const { id, state } of rows) {
    const text = await findText(pool, id)
    if (!text) continue
    const sentences = await besides.run(findingSentences, text, way)
    await pool.query(
      `insert into finding_text (trial, state, sentences) select $1, $2, $3
       where exists (select 1 from trial where id = $1)
       on conflict (trial) do update set state = excluded.state, sentences = excluded.sentences`,
      [id, state, JSON.stringify(sentences)],
    )
  }
  return Math.max(0, (rows[0]?.left ?? 0) - rows.length)
}
