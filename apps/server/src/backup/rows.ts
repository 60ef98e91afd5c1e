import { createHash } from 'node:crypto'
import type { Connection } from '../database/pool'
import { kept, type KeptTable } from './tables'

/** What a table held: its rows counted, and the SHA-256 of them all, a line each. */
export interface TableSum {
  readonly name: string
  readonly rows: number
  readonly sha256: string
}

const atOnce = 200

/** The kept tables that a database has: one of before may lack some. */
export async function tablesIn(client: Connection): Promise<KeptTable[]> {
  const { rows } = await client.query<{ name: string }>(
    `select relname as name from pg_catalog.pg_class where relnamespace = 'public'::regnamespace and relkind = 'r'`,
  )
  const here = new Set(rows.map(({ name }) => name))
  return kept.filter(({ name }) => here.has(name))
}

/** Rows of a table as lines of JSON, in the order of its key, some at a time. In a transaction, for it is one look at them. */
export async function* linesOf(
  client: Connection,
  { name, by, only = 'true' }: KeptTable,
): AsyncGenerator<string[], void> {
  await client.query(
    `declare kept_row no scroll cursor for select to_json(t)::text as line from public.${name} t where ${only} order by ${by}`,
  )
  for (;;) {
    const { rows } = await client.query<{ line: string }>(`fetch ${atOnce} from kept_row`)
    if (!rows.length) break
    yield rows.map(({ line }) => line)
  }
  await client.query('close kept_row')
}

/** Counts lines and sums them up as they pass. */
export class Summing {
  private rows = 0
  private readonly hash = createHash('sha256')

  constructor(private readonly name: string) {}

  /** Takes lines, and gives the bytes that they are. */
  take(lines: readonly string[]): Buffer {
    const bytes = Buffer.from(lines.map((line) => `${line}\n`).join(''))
    this.rows += lines.length
    this.hash.update(bytes)
    return bytes
  }

  done(): TableSum {
    return { name: this.name, rows: this.rows, sha256: this.hash.digest('hex') }
  }
}

/** Sums of every kept table of a database, as it stands at one moment. */
export async function sumsOf(client: Connection): Promise<TableSum[]> {
  const sums: TableSum[] = []
  for (const table of await tablesIn(client)) {
    const sum = new Summing(table.name)
    for await (const lines of linesOf(client, table)) sum.take(lines)
    sums.push(sum.done())
  }
  return sums
}
