import type { Running } from '@even-watt/contract'
import type { Pool } from 'pg'
import { standing } from '../database/standing'

/** A log that nobody ended within this time was forgotten, not left running. */
const forgotten = '7 days'
/** Minutes between looks where no schedule says it. */
const usualEvery = 10
const most = 20

/** Logs that were begun and not ended, in trials that are not put away; what is due first stands first. */
export async function runningLogs(pool: Pool): Promise<Running[]> {
  const { rows } = await pool.query<{
    trial: string
    title: string
    log: string
    revision: number
    what: string
    load: string | null
    begun: string
    looked: string
    every: number
  }>(
    `select trial.id as trial, settings->>'title' as title, entry.id as log, entry.revision,
       entry.body #>> '{reading,what}' as what, entry.body #>> '{reading,load}' as load,
       entry.body->>'at' as begun, coalesce(looks.last, entry.body->>'at') as looked,
       coalesce((settings #>> '{schedule,checkEvery}')::float, ${usualEvery}) as every
     from entry join trial on trial.id = entry.trial
     left join lateral (
       select max(coalesce(body #>> '{reading,readAt}', body->>'at')) as last,
         bool_or(body #>> '{reading,ended}' is not null) as ended
       from entry as look where look.trial = entry.trial and look.kind = 'check-in'
         and look.body #>> '{reading,log}' = entry.id::text
     ) as looks on true
     where entry.kind = 'log' and put_away_at is null and looks.ended is not true
       and (entry.body->>'at')::timestamptz > now() - interval '${forgotten}'
       and ${standing()}
     limit ${most}`,
  )
  return rows
    .map(({ every, load, ...row }): Running => ({
      ...row,
      ...(load === null ? {} : { load }),
      due: new Date(Date.parse(row.looked) + every * 60_000).toISOString(),
    }))
    .sort((a, b) => a.due.localeCompare(b.due))
}
