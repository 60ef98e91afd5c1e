import type { TrialVerdicts } from '@even-watt/contract'
import type { Pool } from 'pg'
import type { Besides } from '../besides/besides'
import { onceMade } from '../besides/once'
import { findText, stateSql } from './readText'
import { verdictCounts } from './verdictCounts'

const mostKept = 2000

/** How the claims of some trials stand, worked out by core; a trial that is not here is left out. */
export function verdictsOf(pool: Pool, besides: Besides): (ids: readonly string[]) => Promise<TrialVerdicts> {
  const once = onceMade<TrialVerdicts[string] | undefined>(mostKept)
  return async (ids) => {
    const { rows } = await pool.query<{ id: string; state: string }>(
      `select id, ${stateSql} as state from trial where id = any($1::uuid[])`,
      [ids],
    )
    const verdicts: Record<string, TrialVerdicts[string]> = {}
    for (const { id, state } of rows) {
      const counts = await once(state, async () => {
        const text = await findText(pool, id)
        return text && besides.run(verdictCounts, text)
      })
      if (counts) verdicts[id] = counts
    }
    return verdicts
  }
}
