import pg, { type Client, type Pool, type PoolClient } from 'pg'
import type { Logger } from 'pino'

export type Queryable = Pick<Pool, 'query'> | PoolClient | Client

/** One connection, on which a transaction can be held. */
export type Connection = PoolClient | Client

/** Connections to the one database that holds everything. */
export function createPool(connectionString: string, log: Logger): Pool {
  const pool = new pg.Pool({
    connectionString,
    max: 10,
    connectionTimeoutMillis: 5000,
    statement_timeout: 30_000,
  })
  // A connection that breaks, idle or in the midst of work, must not end the process: the next request opens another. The
  // pool tells once more of one that was idle. At the end the database may be gone before its last connections are.
  const broke = ({ message }: Error) => {
    if (!pool.ending) log.warn(`A database connection broke: ${message}`)
  }
  pool.on('error', () => undefined)
  pool.on('connect', (client) => client.on('error', broke))
  return pool
}

/** Runs work in one transaction; all of it counts, or none. */
export async function transaction<T>(pool: Pool, work: (client: PoolClient) => Promise<T>): Promise<T> {
  const client = await pool.connect()
  let broken: Error | undefined
  try {
    await client.query('begin')
    const result = await work(client)
    await client.query('commit')
    return result
  } catch (error) {
    await client.query('rollback').catch((failure: unknown) => {
      broken = failure instanceof Error ? failure : new Error(String(failure))
    })
    throw error
  } finally {
    client.release(broken)
  }
}
