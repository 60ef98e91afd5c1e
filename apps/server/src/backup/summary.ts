import type { BackupSummary } from '@even-watt/contract'
import type { Queryable } from '../database/pool'

/** Works the summary out; hashes are of the stored content itself, in a fixed order. */
export async function summaryOf(db: Queryable): Promise<BackupSummary> {
  const { rows } = await db.query<BackupSummary>(`
    select
      (select count(*)::int from trial) as trials,
      (select count(*)::int from entry) as entries,
      (select (select count(*) from unit) + (select count(*) from meter) + (select count(*) from rig)
        + (select count(*) from load))::int as documents,
      (select count(*)::int from blob where whole) as files,
      md5(concat_ws('|',
        (select md5(coalesce(string_agg(md5(id::text || sequence || trial || body::text), '' order by sequence), '')) from entry),
        (select md5(coalesce(string_agg(md5(id::text || version || settings::text), '' order by id), '')) from trial),
        (select md5(coalesce(string_agg(md5(trial::text || number || content::text), '' order by trial, number), '')) from revision),
        (select md5(coalesce(string_agg(md5(id::text || content::text), '' order by id), '')) from unit),
        (select md5(coalesce(string_agg(md5(id::text || content::text), '' order by id), '')) from meter),
        (select md5(coalesce(string_agg(md5(id::text || content::text), '' order by id), '')) from rig),
        (select md5(coalesce(string_agg(md5(id::text || content::text), '' order by id), '')) from load),
        (select md5(coalesce(string_agg(md5(sha256 || number || md5(bytes)), '' order by sha256, number), '')) from blob_part)
      )) as hash`)
  const [summary] = rows
  if (!summary) throw new Error('The database did not answer.')
  return summary
}
