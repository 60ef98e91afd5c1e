import type { Queryable } from './pool'

/** Keeps a fact about this installation itself. */
export async function remember(db: Queryable, key: string, value: string): Promise<void> {
  await db.query(
    'insert into installation (key, value) values ($1, $2) on conflict (key) do update set value = $2',
    [key, value],
  )
}

export async function recall(db: Queryable, key: string): Promise<string | undefined> {
  const { rows } = await db.query<{ value: string }>('select value from installation where key = $1', [key])
  return rows[0]?.value
}
