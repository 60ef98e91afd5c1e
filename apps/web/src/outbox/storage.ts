import { upgradeEntry, type Entry } from '@even-watt/contract'
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { SetAside, Unsent } from './slice'

/** An entry that waits, and its place among the others. */
type Waiting = Unsent & { readonly order: number }

interface Schema extends DBSchema {
  /** Of version 1: by a number of its own, so that nothing could be taken out without looking for it first. */
  unsent: { key: number; value: Unsent; indexes: { id: string } }
  /** What is not sent yet, by the entry's id. */
  waiting: { key: string; value: Waiting }
  /** What the server does not take, by the entry's id. */
  aside: { key: string; value: SetAside }
  /** Bytes of files that are not sent yet, by their SHA-256. */
  bytes: { key: string; value: ArrayBuffer }
}

type Database = IDBPDatabase<Schema>

/** A browser that keeps nothing, for whatever reason: said once, and the work goes on without. */
export class StorageFailure extends Error {}

const reasons: Readonly<Record<string, string>> = {
  QuotaExceededError: 'its room for this site is full',
  VersionError: 'it holds readings of a newer Even Watt',
  SecurityError: 'it is set to keep nothing here',
  InvalidStateError: 'it is set to keep nothing here',
}

const failure = (error: unknown) =>
  new StorageFailure(
    (error instanceof Error ? reasons[error.name] : undefined) ?? 'its store does not work here',
  )

let opening: Promise<Database> | undefined

/** Opened when first needed; after a failure the next need tries again. */
function database(): Promise<Database> {
  opening ??= (async () =>
    openDB<Schema>('even-watt', 2, {
      upgrade(db, from, _to, transaction) {
        const waiting = db.createObjectStore('waiting', { keyPath: 'entry.id' })
        db.createObjectStore('aside', { keyPath: 'entry.id' })
        db.createObjectStore('bytes')
        if (from < 1) return
        // The upgrade lasts until its requests are done.
        const unsent = transaction.objectStore('unsent')
        void unsent.getAll().then((kept) => {
          kept.forEach(({ trial, entry }, order) => void waiting.put({ trial, entry, order }))
          db.deleteObjectStore('unsent')
        })
      },
      // Another page needs a newer store: this one makes room, and opens it again when it must.
      blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close(),
      terminated: () => (opening = undefined),
    }))().catch((error: unknown) => {
    opening = undefined
    throw error
  })
  return opening
}

/** A store that does not answer at all is as good as none: nothing may wait for it for ever. */
const patience = 3000

const silent = () =>
  new Promise<never>((_, reject) =>
    setTimeout(() => reject(new StorageFailure('its store does not answer')), patience),
  )

async function stored<T>(work: (db: Database) => Promise<T>): Promise<T> {
  try {
    return await Promise.race([database().then(work), silent()])
  } catch (error) {
    opening = undefined
    throw error instanceof StorageFailure ? error : failure(error)
  }
}

/**
 * Changes the store in one transaction that needs this page no more once it is begun: left in the midst of it, a page
 * would hold the store against every page after it.
 */
const change = (
  names: readonly ('waiting' | 'aside' | 'bytes')[],
  work: (of: <N extends (typeof names)[number]>(name: N) => Store<N>) => void,
): Promise<void> =>
  stored(async (db) => {
    const transaction = db.transaction(names as ('waiting' | 'aside' | 'bytes')[], 'readwrite', {
      durability: 'strict',
    })
    work((name) => transaction.objectStore(name) as unknown as Store<typeof name>)
    transaction.commit()
    await transaction.done
  })

/** As much of a store as changes it; what comes of each request shows in the transaction. */
interface Store<N extends 'waiting' | 'aside' | 'bytes'> {
  readonly put: (value: Schema[N]['value'], key?: string) => unknown
  readonly delete: (key: string) => unknown
}

let last = 0

function nextOrder(): number {
  last = Math.max(last + 1, Date.now() * 1000)
  return last
}

/** Kept in the browser, in order, until the server says it has them. */
export const keep = (items: readonly Unsent[]): Promise<void> =>
  change(['waiting'], (of) => {
    for (const { trial, entry } of items) of('waiting').put({ trial, entry, order: nextOrder() })
  })

// Kept by an earlier Even Watt, an entry may still be of an older format.
const upgraded = <T extends Unsent>(item: T): T => ({ ...item, entry: upgradeEntry(item.entry) as Entry })

export const readKept = (): Promise<{ unsent: Unsent[]; aside: SetAside[] }> =>
  stored(async (db) => ({
    unsent: (await db.getAll('waiting'))
      .sort((a, b) => a.order - b.order)
      .map(({ trial, entry }) => upgraded({ trial, entry })),
    aside: (await db.getAll('aside')).map(upgraded),
  }))

export const forget = (ids: readonly string[]): Promise<void> =>
  change(['waiting'], (of) => {
    for (const id of ids) of('waiting').delete(id)
  })

/** Moves an entry from what is sent to what is set aside, in one go. */
export const keepAside = (item: SetAside): Promise<void> =>
  change(['waiting', 'aside'], (of) => {
    of('aside').put(item)
    of('waiting').delete(item.entry.id)
  })

/** Moves an entry back from what is set aside to what is sent, in one go. */
export const keepAgain = ({ trial, entry }: Unsent): Promise<void> =>
  change(['waiting', 'aside'], (of) => {
    of('waiting').put({ trial, entry, order: nextOrder() })
    of('aside').delete(entry.id)
  })

export const forgetAside = (id: string): Promise<void> =>
  change(['aside'], (of) => {
    of('aside').delete(id)
  })

/** As bare bytes: a blob would be a file beside the store, and a browser killed over it could take the readings along. */
export async function keepBytes(sha256: string, bytes: Blob): Promise<void> {
  const bare = await bytes.arrayBuffer()
  return change(['bytes'], (of) => {
    of('bytes').put(bare, sha256)
  })
}

export const readBytes = (sha256: string): Promise<Blob | undefined> =>
  stored(async (db) => {
    const bare = await db.get('bytes', sha256)
    return bare && new Blob([bare])
  })

export const forgetBytes = (sha256: string): Promise<void> =>
  change(['bytes'], (of) => {
    of('bytes').delete(sha256)
  })
