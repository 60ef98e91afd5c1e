import type { StoredLoad, Trial } from '@even-watt/contract'
import { frozenPlan } from '@even-watt/core'
import type { Pool } from 'pg'
import type { Queryable } from '../database/pool'
import { listDocuments } from '../documents/documents'
import { notFound } from '../http/problem'
import { readTaken } from '../loads/taken'
import { findTrial } from './record'
import type { TrialText } from './text'

export async function findText(db: Queryable, id: string): Promise<TrialText | undefined> {
  const trial = await findTrial(db, id)
  if (!trial) return undefined
  const { rows } = await db.query<{ entries: string }>(
    `select '[' || coalesce(string_agg(body::text, ',' order by sequence), '') || ']' as entries
     from entry where trial = $1`,
    [id],
  )
  return { trial, entries: rows[0]?.entries ?? '[]' }
}

/** What follows from a trial stands as long as this does. */
export const stateSql = `concat_ws(' ', id, version, revisions, entries)`

/** Undefined: the trial is not here. */
export async function stateOf(db: Queryable, id: string): Promise<string | undefined> {
  const { rows } = await db.query<{ state: string }>(`select ${stateSql} as state from trial where id = $1`, [
    id,
  ])
  return rows[0]?.state
}

/** A trial as it goes out, its plan with its loads. */
export async function textToExport(pool: Pool, id: string): Promise<TrialText> {
  const text = await findText(pool, id)
  if (!text) throw notFound('This trial')
  return { ...text, trial: await withFrozenPlan(pool, text.trial) }
}

/** A plan saved before plans kept their loads gets them now, as far as they are still here. */
async function withFrozenPlan(pool: Pool, trial: Trial): Promise<Trial> {
  if (!trial.plan || trial.plan.loads) return trial
  const [loads, taken] = await Promise.all([
    listDocuments(pool, 'load') as unknown as Promise<StoredLoad[]>,
    readTaken(pool),
  ])
  const plan = frozenPlan(trial.plan, { loads, taken })
  return plan.loads?.length ? { ...trial, plan } : trial
}
