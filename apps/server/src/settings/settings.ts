import { StoredSettings, type Settings } from '@even-watt/contract'
import { isDeepStrictEqual } from 'node:util'
import { recall } from '../database/installation'
import type { Queryable } from '../database/pool'
import { conflict } from '../http/problem'

const key = 'settings'

/** What the bench chose; undefined until it was asked. What was stored before it had a version is the first. */
export async function readSettings(db: Queryable): Promise<StoredSettings | undefined> {
  const kept = await recall(db, key)
  return kept === undefined
    ? undefined
    : StoredSettings.parse({ version: 1, ...(JSON.parse(kept) as object) })
}

/**
 * Saves an edit made from a version; 0 where the bench was not asked yet. An edit of an older version is refused, and sending
 * the same edit twice does no harm.
 */
export async function saveSettings(
  db: Queryable,
  editedFrom: number,
  content: Settings,
): Promise<StoredSettings> {
  const stored: StoredSettings = { ...content, version: editedFrom + 1 }
  const { rowCount } =
    editedFrom === 0
      ? await db.query('insert into installation (key, value) values ($1, $2) on conflict do nothing', [
          key,
          JSON.stringify(stored),
        ])
      : await db.query(
          `update installation set value = $2 where key = $1 and coalesce((value::jsonb->>'version')::int, 1) = $3`,
          [key, JSON.stringify(stored), editedFrom],
        )
  const current = await readSettings(db)
  if (rowCount || isDeepStrictEqual(current, stored)) return stored
  throw conflict('What this bench was asked was saved elsewhere; look at it, then save yours again.')
}
