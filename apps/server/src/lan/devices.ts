import type { Device } from '@even-watt/contract'
import { createHash, randomBytes, randomUUID } from 'node:crypto'
import type { Queryable } from '../database/pool'

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Lets a device in: what it holds from now on, of which only a hash is kept. */
export async function letIn(db: Queryable, name: string): Promise<string> {
  const token = randomBytes(32).toString('base64url')
  await db.query('insert into device (id, name, token_sha256) values ($1, $2, $3)', [
    randomUUID(),
    name,
    hashOf(token),
  ])
  return token
}

/** Whether a device may pass by what it holds; it counts as seen, to the minute. */
export async function mayPass(db: Queryable, token: string): Promise<boolean> {
  const { rows } = await db.query<{ stale: boolean }>(
    `select seen_at < now() - interval '1 minute' as stale from device where token_sha256 = $1 and not shut_out`,
    [hashOf(token)],
  )
  if (rows[0]?.stale)
    await db.query('update device set seen_at = now() where token_sha256 = $1', [hashOf(token)])
  return rows.length > 0
}

export async function listDevices(db: Queryable): Promise<Device[]> {
  const { rows } = await db.query<Device>(
    `select id, name, to_json(let_in_at) as "letInAt", to_json(seen_at) as "seenAt", shut_out as "shutOut"
       from device order by seen_at desc limit 200`,
  )
  return rows
}

/** All that were let in so far have to knock again. */
export const shutAllOut = (db: Queryable): Promise<unknown> =>
  db.query('update device set shut_out = true where not shut_out')

/** From its next request on it has to knock again. */
export const shutOut = (db: Queryable, id: string): Promise<unknown> =>
  db.query('update device set shut_out = true where id = $1', [id])
