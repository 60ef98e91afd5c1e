import { upgradeEntry, type Entry } from '@even-watt/contract'
import { openDB, type DBSchema } from 'idb'
import type { Unsent } from './slice'

interface Schema extends DBSchema {
  unsent: { key: number; value: Unsent & { id: string }; indexes: { id: string } }
}

const database = openDB<Schema>('even-watt', 1, {
  upgrade(db) {
    const store = db.createObjectStore('unsent', { autoIncrement: true })
    store.createIndex('id', 'id', { unique: true })
  },
})

/** Kept in the browser, in order, until the server says it has them. */
export async function keep(items: readonly Unsent[]): Promise<void> {
  const transaction = (await database).transaction('unsent', 'readwrite', { durability: 'strict' })
  for (const item of items) void transaction.store.add({ ...item, id: item.entry.id })
  await transaction.done
}

export async function readKept(): Promise<Unsent[]> {
  const kept = await (await database).getAll('unsent')
  // Kept by an earlier Even Watt, an entry may still be of an older format.
  return kept.map(({ trial, entry }) => ({ trial, entry: upgradeEntry(entry) as Entry }))
}

export async function forget(ids: readonly string[]): Promise<void> {
  const transaction = (await database).transaction('unsent', 'readwrite')
  for (const id of ids) {
    const key = await transaction.store.index('id').getKey(id)
    if (key !== undefined) await transaction.store.delete(key)
  }
  await transaction.done
}
