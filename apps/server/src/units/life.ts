import type { Remark, UnitLife } from '@even-watt/contract'
import type { Pool } from 'pg'
import { standing } from '../database/standing'

/** More than a unit is tested in its life. */
const most = 200

/** The trials of a unit, whatever it was called then, and the remarks that stand in them. */
export async function lifeOf(pool: Pool, unit: string): Promise<UnitLife> {
  const { rows: trials } = await pool.query<{ id: string; title: string; started_at: Date; away: boolean }>(
    `select id, settings->>'title' as title, started_at, put_away_at is not null as away from trial
     where exists (select 1 from revision where trial = trial.id and content #>> '{unit,id}' = $1)
     order by started_at desc limit ${most}`,
    [unit],
  )
  const { rows: remarks } = await pool.query<{ trial: string; at: string; reading: Remark }>(
    `select trial, body->>'at' as at, body->'reading' as reading from entry
     where kind = 'remark' and trial = any($1::uuid[]) and ${standing()}
     order by body->>'at' desc limit ${most}`,
    [trials.map(({ id }) => id)],
  )
  return {
    trials: trials.map(({ started_at, ...trial }) => ({ ...trial, startedAt: started_at.toISOString() })),
    remarks: remarks.map(({ trial, at, reading }) => ({ ...reading, trial, at })),
  }
}
