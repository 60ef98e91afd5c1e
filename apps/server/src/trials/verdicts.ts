import { outcomes, type Outcome, type TrialVerdicts } from '@even-watt/contract'
import { viewTrial } from '@even-watt/core'
import type { Pool } from 'pg'
import { findTrial, readAllEntries } from './record'

type Counts = TrialVerdicts[string]

/** Verdicts already worked out, by trial, version of its settings and number of its entries: what they follow from. */
const known = new Map<string, Counts>()
const mostKnown = 2000

/** How the claims of some trials stand, worked out by core; a trial that is not here is left out. */
export async function verdictsOf(pool: Pool, ids: readonly string[]): Promise<TrialVerdicts> {
  const { rows } = await pool.query<{ id: string; version: number; revisions: number; entries: number }>(
    'select id, version, revisions, entries from trial where id = any($1::uuid[])',
    [ids],
  )
  const verdicts: Record<string, Counts> = {}
  for (const { id, version, revisions, entries } of rows) {
    const key = `${id} ${version} ${revisions} ${entries}`
    const counts = known.get(key) ?? (await judgeTrial(pool, id))
    if (!counts) continue
    // The one asked for last stands last; the longest unasked makes room.
    known.delete(key)
    known.set(key, counts)
    for (const oldest of known.keys()) {
      if (known.size <= mostKnown) break
      known.delete(oldest)
    }
    verdicts[id] = counts
  }
  return verdicts
}

async function judgeTrial(pool: Pool, id: string): Promise<Counts | undefined> {
  const trial = await findTrial(pool, id)
  if (!trial) return undefined
  const { findings } = viewTrial(trial, await readAllEntries(pool, id))
  const count = (outcome: Outcome) => findings.filter(({ standing }) => standing.outcome === outcome).length
  return outcomes.map((outcome) => ({ outcome, count: count(outcome) })).filter((one) => one.count > 0)
}
