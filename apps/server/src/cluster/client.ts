import pg from 'pg'

/** Works with a connection of its own, closed afterwards; in another database of the same server where one is named. */
export async function withClient<T>(
  url: string,
  work: (client: pg.Client) => Promise<T>,
  database?: string,
): Promise<T> {
  const at = new URL(url)
  if (database !== undefined) at.pathname = database
  const client = new pg.Client({ connectionString: at.href })
  client.on('error', () => undefined)
  await client.connect()
  try {
    return await work(client)
  } finally {
    await client.end()
  }
}
