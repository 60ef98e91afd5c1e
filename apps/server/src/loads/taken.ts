import type { LadderReading, StoredLoad, Taken } from '@even-watt/contract'
import { struckBy, takenOf, type Striking } from '@even-watt/core'
import type { Pool } from 'pg'
import { listDocuments } from '../documents/documents'

/** Readings looked at, the newest first: more would not change what is learnt. */
const mostReadings = 5000

interface SingleUse {
  id: string
  use: LadderReading['uses']
  values: LadderReading['values']
}

interface StrikingRow {
  id: string
  kind: Striking['kind']
  entry: string | null
  replaces: Striking['replaces'] | null
}

/** What each setting of the shelf really took, from readings of it alone that still stand. */
export async function readTaken(pool: Pool): Promise<Taken[]> {
  const [{ rows }, striking, loads] = await Promise.all([
    pool.query<SingleUse>(
      `select id, body #> '{reading,uses}' as use, jsonb_path_query_array(body,
          '$.reading.values[*] ? (@.quantity == "P_C" || @.quantity == "V_C")') as values
       from entry
       where kind = 'ladder' and jsonb_array_length(coalesce(body #> '{reading,uses}', '[]'::jsonb)) = 1
       order by sequence desc limit $1`,
      [mostReadings],
    ),
    pool.query<StrikingRow>(
      `select id, kind, body ->> 'entry' as entry, body -> 'replaces' as replaces
       from entry where kind = 'take back' or body ? 'replaces'`,
    ),
    listDocuments(pool, 'load') as unknown as Promise<StoredLoad[]>,
  ])
  const struck = struckBy([
    ...rows.map(({ id }): Striking => ({ id, kind: 'ladder' })),
    ...striking.rows.map(({ id, kind, entry, replaces }): Striking => ({
      id,
      kind,
      ...(entry === null ? {} : { entry }),
      ...(replaces ? { replaces } : {}),
    })),
  ])
  return takenOf(
    loads,
    rows.filter(({ id }) => !struck.has(id)).map(({ use, values }) => ({ uses: use, values })),
  )
}
