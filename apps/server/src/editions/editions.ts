import type { Edition, NewEdition, Publishable } from '@even-watt/contract'
import type { Pool } from 'pg'
import { blobState } from '../files/blobs'
import { conflict, ProblemError } from '../http/problem'

interface Row {
  id: string
  made_at: Date
  content: NewEdition
}

const edition = ({ id, made_at, content }: Row): Edition => ({
  ...content,
  id,
  madeAt: made_at.toISOString(),
})

/** All editions of one thing, the newest first. */
export async function listEditions(pool: Pool, kind: Publishable, of: string): Promise<Edition[]> {
  const { rows } = await pool.query<Row>(
    'select id, made_at, content from edition where kind = $1 and of = $2 order by number desc limit 1000',
    [kind, of],
  )
  return rows.map(edition)
}

/** The edition whose content has a hash. */
export async function findEdition(pool: Pool, contentSha256: string): Promise<Edition | undefined> {
  const { rows } = await pool.query<Row>(
    'select id, made_at, content from edition where content_sha256 = $1 order by made_at limit 1',
    [contentSha256],
  )
  return rows[0] && edition(rows[0])
}

/**
 * Keeps an edition whose bytes are here. Sending the same once more does no harm; a number that another has is
 * refused, so that two tabs never publish two third editions.
 */
export async function keepEdition(
  pool: Pool,
  id: string,
  content: NewEdition,
  madeAt = new Date(),
): Promise<Edition> {
  const bytes = await blobState(pool, content.sha256)
  if (!bytes?.whole || bytes.size !== content.size)
    throw new ProblemError(422, 'The page of this edition is not here as a whole.', 'Publish it once more.')
  const { rows } = await pool.query<Row>(
    `insert into edition (id, kind, of, number, sha256, content_sha256, content, made_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8) on conflict do nothing returning id, made_at, content`,
    [id, content.kind, content.of, content.number, content.sha256, content.contentSha256, content, madeAt],
  )
  if (rows[0]) return edition(rows[0])
  const repeat = await pool.query<Row>(
    'select id, made_at, content from edition where id = $1 and sha256 = $2',
    [id, content.sha256],
  )
  if (repeat.rows[0]) return edition(repeat.rows[0])
  throw conflict(`Edition ${content.number} was published elsewhere meanwhile; look at it first.`)
}
