import { Settings } from '@even-watt/contract'
import { recall } from '../database/installation'
import type { Queryable } from '../database/pool'

/** What the bench chose; undefined until it was asked. */
export async function readSettings(db: Queryable): Promise<Settings | undefined> {
  const kept = await recall(db, 'settings')
  return kept === undefined ? undefined : Settings.parse(JSON.parse(kept))
}
