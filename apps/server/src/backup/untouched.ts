import { recall, remember } from '../database/installation'
import type { Queryable } from '../database/pool'
import { summaryOf } from './summary'

const key = 'demo-content'

/**
 * Loads the demo into a new installation and remembers what it came to, so that it can be told from work. To be done
 * before anybody can write.
 */
export async function withUntouchedDemo(db: Queryable, load: () => Promise<void>): Promise<void> {
  const untouched = await isUntouched(db)
  await load()
  if (untouched) await remember(db, key, (await summaryOf(db)).hash)
}

/** Whether an installation holds nothing of its own: nothing at all, or the demo as it was loaded. */
export async function isUntouched(db: Queryable): Promise<boolean> {
  const { rows } = await db.query<{ here: boolean }>(`select to_regclass('public.trial') is not null as here`)
  if (!rows[0]?.here) return true
  const { trials, entries, documents, files, hash } = await summaryOf(db)
  if (trials + entries + documents + files === 0) return true
  return (await recall(db, key)) === hash
}
