import type { DocumentUses } from '@even-watt/contract'
import type { Pool } from 'pg'
import type { DocumentTable } from './documents'

/** Told of at most so many places; more are counted. */
const most = 20

const trialsWith = (part: 'unit' | 'rig') =>
  `select settings->>'title' as name from trial
   where exists (select 1 from revision where trial = trial.id and content->'${part}'->>'id' = $1)`

const nobody = `select ''::text as name where $1::text is null`

/** Where a document of each kind is used. */
const usesSql: Record<DocumentTable, string> = {
  unit: trialsWith('unit'),
  rig: trialsWith('rig'),
  meter: `select content->>'name' as name from rig
    where content->'assignments' @> jsonb_build_array(jsonb_build_object('meter', $1::text))`,
  // Nothing points at these: what a trial took of a checklist stands in its own record.
  comparison: nobody,
  checklist: nobody,
  diary: nobody,
  load: `select settings->>'title' as name from trial
    where jsonb_path_exists(settings, '$.plan.steps[*].uses[*].load ? (@ == $id)', jsonb_build_object('id', $1::text))`,
}

/** Only a rig points at what it uses; trials keep copies of their own. */
const held: readonly DocumentTable[] = ['meter']

/** Where a document is used, and whether it must stay for that. */
export async function usesOf(pool: Pool, table: DocumentTable, id: string): Promise<DocumentUses> {
  const { rows } = await pool.query<{ name: string; total: string }>(
    `select name, count(*) over () as total from (${usesSql[table]}) as uses order by lower(name) limit ${most}`,
    [id],
  )
  return {
    by: rows.map(({ name }) => name),
    total: Number(rows[0]?.total ?? 0),
    held: rows.length > 0 && held.includes(table),
  }
}
