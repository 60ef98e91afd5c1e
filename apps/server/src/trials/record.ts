import type {
  Entry,
  Revision,
  StoredRig,
  StoredUnit,
  Trial,
  TrialOrder,
  TrialPage,
  TrialSettings,
} from '@even-watt/contract'
import type { PoolClient } from 'pg'
import { tellOf } from '../database/feed'
import type { Queryable } from '../database/pool'
import { notFound } from '../http/problem'
import { rowsOf, type EntryRows } from './rows'

interface TrialRow {
  id: string
  version: number
  settings: TrialSettings
  started_at: Date
  put_away_at: Date | null
}

interface RevisionRow {
  number: number
  why: string
  made_at: Date
  content: Pick<Revision, 'touched' | 'unit' | 'rig' | 'meters'>
}

interface LineRow {
  id: string
  title: string
  by: string
  started_at: Date
  unit_name: string
  rig_name: string
  revisions: number
  entries: number
  last_at: Date | null
}

export interface ListQuery {
  readonly search: string
  readonly by: TrialOrder
  readonly descending: boolean
  /** Those put away, or those that are not. */
  readonly away: boolean
  /** Of each unit only the trial that was begun last. */
  readonly newest: boolean
  readonly limit: number
  readonly offset: number
}

/** What each order sorts by; names typed by people sort without regard to case. */
const orderings: Record<TrialOrder, string> = {
  title: `lower(settings->>'title')`,
  unit: 'lower(unit_name)',
  rig: 'lower(rig_name)',
  by: `lower(settings->>'by')`,
  startedAt: 'started_at',
  // Worked on last; a trial without a reading yet counts from its start.
  lastAt: 'coalesce(last_at, started_at)',
  revisions: 'revisions',
  entries: 'entries',
}

/** Every word searched for stands somewhere in title, unit, rig or initials. */
const searchSql = `(select bool_and(position(lower(word) in
    lower(concat_ws(' ', settings->>'title', unit_name, rig_name, settings->>'by'))) > 0)
  from regexp_split_to_table($1, '\\s+') as word)`

/** No later trial of a unit of the same name, as far as it is put away or not alike. */
const newestSql = `not exists (select 1 from trial as later where later.unit_name = trial.unit_name
    and (later.put_away_at is null) = (trial.put_away_at is null)
    and (later.started_at, later.id) > (trial.started_at, trial.id))`

export const listSql = (by: TrialOrder, descending: boolean) => {
  const way = descending ? 'desc' : 'asc'
  return `select id, settings->>'title' as title, settings->>'by' as by, started_at, unit_name, rig_name,
    revisions, entries, last_at
  from trial where (put_away_at is not null) = $4 and ($1 = '' or ${searchSql}) and (not $5 or ${newestSql}) order by ${orderings[by]} ${way}, id ${way} limit $2 offset $3`
}

/** One page of the trials that hold every word searched for. */
export async function listTrials(db: Queryable, query: ListQuery): Promise<TrialPage> {
  const search = query.search.trim()
  const [{ rows }, counted] = await Promise.all([
    db.query<LineRow>(listSql(query.by, query.descending), [
      search,
      query.limit,
      query.offset,
      query.away,
      query.newest,
    ]),
    db.query<{ total: number; away: number }>(
      `select count(*) filter (where (put_away_at is not null) = $2)::int as total,
         (select count(*)::int from trial where put_away_at is not null) as away
       from trial where ($1 = '' or ${searchSql}) and (not $3 or ${newestSql})`,
      [search, query.away, query.newest],
    ),
  ])
  return {
    total: counted.rows[0]?.total ?? 0,
    away: counted.rows[0]?.away ?? 0,
    trials: rows.map((row) => ({
      id: row.id,
      title: row.title,
      by: row.by,
      startedAt: row.started_at.toISOString(),
      unit: row.unit_name,
      rig: row.rig_name,
      revisions: row.revisions,
      entries: row.entries,
      lastAt: row.last_at?.toISOString() ?? null,
    })),
  }
}

export async function findTrial(db: Queryable, id: string): Promise<Trial | undefined> {
  const { rows } = await db.query<TrialRow>(
    'select id, version, settings, started_at from trial where id = $1',
    [id],
  )
  const row = rows[0]
  if (!row) return undefined
  const revisions = await db.query<RevisionRow>(
    'select number, why, made_at, content from revision where trial = $1 order by number',
    [id],
  )
  return {
    ...row.settings,
    id: row.id,
    version: row.version,
    startedAt: row.started_at.toISOString(),
    revisions: revisions.rows.map(({ number, why, made_at, content }) => ({
      number,
      why,
      madeAt: made_at.toISOString(),
      ...content,
    })),
  }
}

export async function requireTrial(db: Queryable, id: string): Promise<Trial> {
  const trial = await findTrial(db, id)
  if (!trial) throw notFound('This trial')
  return trial
}

/** What tells a page that it must read a trial's settings and rigs again, as JSON. */
export async function trialState(db: Queryable, trial: string): Promise<string> {
  const { rows } = await db.query<{ version: number; revisions: number }>(
    'select version, revisions from trial where id = $1',
    [trial],
  )
  if (!rows[0]) throw notFound('This trial')
  return JSON.stringify(rows[0])
}

/** A new trial without revisions; they are added by `addRevision`. */
export async function insertTrial(
  db: Queryable,
  trial: {
    id: string
    version: number
    startedAt: string
    settings: TrialSettings
    unit: StoredUnit
    rig: StoredRig
  },
): Promise<boolean> {
  const { rowCount } = await db.query(
    `insert into trial (id, version, settings, started_at, unit_name, rig_name) values ($1, $2, $3, $4, $5, $6)
     on conflict (id) do nothing`,
    [trial.id, trial.version, trial.settings, trial.startedAt, trial.unit.name, trial.rig.name],
  )
  return rowCount === 1
}

export async function addRevision(
  db: Queryable,
  trial: string,
  { number, why, madeAt, ...content }: Revision,
): Promise<void> {
  await db.query('insert into revision (trial, number, why, made_at, content) values ($1, $2, $3, $4, $5)', [
    trial,
    number,
    why,
    madeAt,
    content,
  ])
  await db.query('update trial set revisions = $2, rig_name = $3 where id = $1', [
    trial,
    number,
    content.rig.name,
  ])
  await tellOf(db, trial)
}

/** What a trial holds while nobody else may append to it: how many entries, and the numbers of its rig revisions. */
export interface LockedTrial {
  readonly entries: number
  readonly revisions: ReadonlySet<number>
}

/**
 * Holds everybody else's appends to a trial back until this transaction ends, so that the order of sequence numbers is
 * the order in which entries come to be seen.
 */
export async function lockTrial(client: PoolClient, trial: string): Promise<LockedTrial> {
  const { rows } = await client.query<{ entries: number; numbers: number[] }>(
    `select entries, array(select number from revision where trial = $1) as numbers
     from trial where id = $1 for update`,
    [trial],
  )
  const [found] = rows
  if (!found) throw notFound('This trial')
  return { entries: found.entries, revisions: new Set(found.numbers) }
}

export const appendEntries = (
  db: Queryable,
  trial: string,
  entries: readonly Entry[],
  by?: 'somebody' | 'nobody',
): Promise<void> => appendRows(db, trial, rowsOf(entries), by)

/** Rows of one statement: writing out more would hold up others. */
const rowsAtOnce = 500

/**
 * Appends entries, none of which is here yet, in the order given, and tells whoever follows the trial once they are
 * stored. The trial is worked on by that, unless nobody did.
 */
export async function appendRows(
  db: Queryable,
  trial: string,
  { ids, revisions, kinds, bodies }: EntryRows,
  by: 'somebody' | 'nobody' = 'somebody',
): Promise<void> {
  if (!ids.length) return
  for (let at = 0; at < ids.length; at += rowsAtOnce) {
    const some = <T>(column: readonly T[]) => column.slice(at, at + rowsAtOnce)
    await db.query(
      `insert into entry (id, trial, revision, kind, body)
       select id, $1, revision, kind, body
       from rows from (unnest($2::uuid[]), unnest($3::int[]), unnest($4::text[]), unnest($5::jsonb[]))
         with ordinality as sent (id, revision, kind, body, place)
       order by place`,
      [trial, some(ids), some(revisions), some(kinds), some(bodies)],
    )
  }
  await db.query(
    'update trial set entries = entries + $2, last_at = case when $3 then now() else last_at end where id = $1',
    [trial, ids.length, by === 'somebody'],
  )
  await tellOf(db, trial)
}

/** Entries after a sequence number, as JSON text, and the number to go on from. */
export interface EntriesPage {
  readonly entries: string
  readonly cursor: string
  readonly more: boolean
}

/**
 * A page of entries in the order they were received, as the JSON that is answered: the bodies pass through as the
 * database has them, for parsing and printing thousands of them again is most of the work.
 */
export async function readEntries(
  db: Queryable,
  trial: string,
  after: string,
  limit: number,
): Promise<EntriesPage> {
  const { rows } = await db.query<{ sequence: string; body: string }>(
    'select sequence, body::text as body from entry where trial = $1 and sequence > $2 order by sequence limit $3',
    [trial, after, limit],
  )
  return {
    entries: `[${rows.map(({ body }) => body).join(',')}]`,
    cursor: rows.at(-1)?.sequence ?? after,
    more: rows.length === limit,
  }
}

/** The highest sequence number of a trial that is here; 0 where it has no entry. */
export async function lastSequence(db: Queryable, trial: string): Promise<string> {
  const { rows } = await db.query<{ found: boolean; last: string }>(
    `select coalesce((select max(sequence) from entry where trial = $1), 0)::text as last,
      exists (select 1 from trial where id = $1) as found`,
    [trial],
  )
  if (!rows[0]?.found) throw notFound('This trial')
  return rows[0].last
}

export async function readAllEntries(db: Queryable, trial: string): Promise<Entry[]> {
  const { rows } = await db.query<{ body: Entry }>(
    'select body from entry where trial = $1 order by sequence',
    [trial],
  )
  return rows.map((row) => row.body)
}
