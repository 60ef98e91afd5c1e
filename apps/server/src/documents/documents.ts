import type { Pool, PoolClient } from 'pg'
import { conflict, notFound } from '../http/problem'

/** The kinds of document a tester edits; each is a table of the same shape. */
export type DocumentTable = 'unit' | 'meter' | 'rig' | 'load' | 'comparison' | 'checklist' | 'diary'

interface Row {
  id: string
  version: number
  content: object
  saved_at: Date
}

export interface StoredDocument {
  id: string
  version: number
  savedAt: string
}

const stored = (row: Row): StoredDocument => ({
  ...row.content,
  id: row.id,
  version: row.version,
  savedAt: row.saved_at.toISOString(),
})

export async function listDocuments(pool: Pool, table: DocumentTable): Promise<StoredDocument[]> {
  const { rows } = await pool.query<Row>(
    `select id, version, content, saved_at from ${table} order by lower(content->>'name'), id limit 5000`,
  )
  return rows.map(stored)
}

/** All that there are, however many; a list shows 5000. */
export async function allDocuments(pool: Pool, table: DocumentTable): Promise<StoredDocument[]> {
  const { rows } = await pool.query<Row>(`select id, version, content, saved_at from ${table} order by id`)
  return rows.map(stored)
}

export async function findDocument(
  pool: Pool | PoolClient,
  table: DocumentTable,
  id: string,
): Promise<StoredDocument | undefined> {
  const { rows } = await pool.query<Row>(
    `select id, version, content, saved_at from ${table} where id = $1`,
    [id],
  )
  return rows[0] && stored(rows[0])
}

/**
 * Saves an edit made from a version; 0 makes a new document. An edit of an older version is refused, so that
 * two tabs never overwrite each other. Sending the same edit twice does no harm.
 */
export async function saveDocument(
  pool: Pool,
  table: DocumentTable,
  id: string,
  editedFrom: number,
  content: object,
): Promise<StoredDocument> {
  const { rows } =
    editedFrom === 0
      ? await pool.query<Row>(
          `insert into ${table} (id, version, content) values ($1, 1, $2) on conflict (id) do nothing
           returning id, version, content, saved_at`,
          [id, content],
        )
      : await pool.query<Row>(
          `update ${table} set version = version + 1, content = $3, saved_at = now() where id = $1 and version = $2
           returning id, version, content, saved_at`,
          [id, editedFrom, content],
        )
  if (rows[0]) return stored(rows[0])
  const repeat = await pool.query<Row>(
    `select id, version, content, saved_at from ${table} where id = $1 and version = $2 + 1 and content = $3::jsonb`,
    [id, editedFrom, content],
  )
  if (repeat.rows[0]) return stored(repeat.rows[0])
  const current = await findDocument(pool, table, id)
  if (!current) throw notFound(`This ${table}`)
  throw conflict(
    `This ${table} was saved elsewhere as version ${current.version}; yours was made from version ${editedFrom}.`,
  )
}

/** Trials keep their own frozen copy, so a document may go. */
export async function deleteDocument(
  pool: Pool,
  table: DocumentTable,
  id: string,
  editedFrom: number,
): Promise<void> {
  const { rowCount } = await pool.query(`delete from ${table} where id = $1 and version = $2`, [
    id,
    editedFrom,
  ])
  if (rowCount) return
  const current = await findDocument(pool, table, id)
  if (current)
    throw conflict(
      `This ${table} was saved elsewhere as version ${current.version}; look at it before deleting it.`,
    )
}
