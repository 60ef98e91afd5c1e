import {
  Edition,
  Entry,
  StoredChecklist,
  StoredComparison,
  StoredDiary,
  StoredLoad,
  StoredMeter,
  StoredRig,
  StoredUnit,
  Trial,
} from '@even-watt/contract'
import type { Pool } from 'pg'
import type * as z from 'zod/mini'
import { readSettings } from '../settings/settings'
import { allDocuments, type DocumentTable } from '../documents/documents'
import { ProblemError } from '../http/problem'
import { parse } from '../http/validate'
import { faultsIn } from '../trials/faults'
import { readAllEntries, requireTrial } from '../trials/record'
import { notOne } from './archive'

const documents: Record<DocumentTable, z.ZodMiniType> = {
  unit: StoredUnit,
  meter: StoredMeter,
  rig: StoredRig,
  load: StoredLoad,
  comparison: StoredComparison,
  checklist: StoredChecklist,
  diary: StoredDiary,
}

/**
 * Whether all that came in is what the pages themselves could have written: every document, trial, entry and edition by the
 * contract, and what stands beside them as it follows from them. The first that is not is named.
 */
export async function checkByContract(pool: Pool): Promise<void> {
  for (const [table, schema] of Object.entries(documents) as [DocumentTable, z.ZodMiniType][])
    for (const document of await allDocuments(pool, table))
      within(`a ${table}`, () => parse(document, schema))
  const { rows: trials } = await pool.query<{ id: string }>('select id from trial order by id')
  for (const { id } of trials) await checkTrial(pool, id)
  const { rows: editions } = await pool.query<{ id: string; made_at: Date; content: object }>(
    'select id, made_at, content from edition order by id',
  )
  for (const { id, made_at, content } of editions)
    within('an edition', () => parse({ ...content, id, madeAt: made_at.toISOString() }, Edition))
  await readSettings(pool).catch(() => {
    throw notOne('its settings are not such settings.')
  })
  if (await contradicts(pool)) throw notOne('what stands beside its rows is not what they say.')
}

async function checkTrial(pool: Pool, id: string): Promise<void> {
  const trial = await requireTrial(pool, id)
  const entries = await readAllEntries(pool, id)
  const where = `the trial "${trial.title}"`
  within(where, () => parse(trial, Trial))
  entries.forEach((entry, i) => within(`${where}, entry ${i + 1},`, () => parse(entry, Entry)))
  // What the bytes of a capture give was worked by the one that made the backup; here it is worked again.
  const captured = entries.filter(({ kind }) => kind !== 'worked again')
  const [fault] = faultsIn(captured, new Set(trial.revisions.map(({ number }) => number)), new Set())
  if (fault) throw notOne(`in ${where}: ${fault.message}`)
}

/** Columns that are kept beside a record, for lists and searches, and do not follow from it. */
async function contradicts(pool: Pool): Promise<boolean> {
  const { rows } = await pool.query<{ wrong: boolean }>(
    `select exists (
       select 1 from entry where body->>'id' <> id::text or body->>'kind' <> kind or (body->>'revision')::numeric <> revision
     ) or exists (
       select 1 from trial where entries <> (select count(*) from entry where entry.trial = trial.id)
         or revisions <> (select count(*) from revision where revision.trial = trial.id)
     ) or exists (
       select 1 from edition where content->>'sha256' <> sha256 or content->>'contentSha256' <> content_sha256
     ) as wrong`,
  )
  return rows[0]?.wrong === true
}

function within<T>(where: string, look: () => T): T {
  try {
    return look()
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    throw notOne(`in ${where}: ${error.fields?.[0]?.message ?? error.title}`)
  }
}
