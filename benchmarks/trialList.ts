import { stationRigs, stationUnits } from '@even-watt/bench'
import type { TrialPage } from '@even-watt/contract'
import { createApp } from '@even-watt/server/app'
import { startCluster } from '@even-watt/server/cluster/cluster'
import { openFeed } from '@even-watt/server/database/feed'
import { migrate } from '@even-watt/server/database/migrate'
import { createPool } from '@even-watt/server/database/pool'
import { close, listen, portOf } from '@even-watt/server/listen'
import { addRevision, insertTrial, listSql } from '@even-watt/server/trials/record'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import { medianTime, say } from './report'

const trials = 10_000
const units = 500
const page = 1000
const sql = listSql('startedAt', true)

/** The API's list of a thousand of ten thousand trials, beside the same SQL run bare, and the newest of each unit. */
export async function benchTrialList(): Promise<void> {
  const log = pino({ level: 'silent' })
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-bench-'))
  const cluster = await startCluster(folder, () => undefined)
  const pool = createPool(cluster.url, log)
  try {
    await migrate(cluster.url, log)
    const id = crypto.randomUUID()
    const startedAt = '2026-01-01T00:00:00.000Z'
    const settings = { title: 'Trial', by: 'R.O.', hold: 600, duty: [], limiters: [] }
    const { ottrel: unit } = stationUnits
    const { l24: rig } = stationRigs
    await insertTrial(pool, { id, version: 1, startedAt, settings, unit, rig })
    await addRevision(pool, id, { number: 1, why: 'benchmark', madeAt: startedAt, unit, rig, meters: [] })
    await pool.query(
      `insert into trial (id, version, settings, started_at, unit_name, rig_name, revisions)
       select gen_random_uuid(), 1, settings || jsonb_build_object('title', 'Trial ' || n),
         started_at + n * interval '1 hour', unit_name || n % $1, rig_name, 1
       from trial, generate_series(1, $2) as n`,
      [units, trials - 1],
    )
    await pool.query('analyze trial')
    const feed = openFeed(cluster.url, log)
    const server = await listen(createApp({ pool, feed, log }), '127.0.0.1', 0)
    const port = portOf(server)
    const overApi = await medianTime(15, async () => {
      const answer = await fetch(`http://127.0.0.1:${port}/api/trials?limit=${page}`)
      const { trials: lines } = (await answer.json()) as TrialPage
      if (lines.length !== page) throw new Error(`${lines.length} trials came back.`)
    })
    const bare = await medianTime(15, () => pool.query(sql, ['', page, 0, false, false]))
    say(`list ${page} of ${trials} trials over the API`, overApi, 'the same SQL bare', bare, 'ms')
    const newest = await medianTime(5, async () => {
      const { total } = (await (
        await fetch(`http://127.0.0.1:${port}/api/trials?newest=yes&limit=${page}`)
      ).json()) as TrialPage
      if (total !== units + 1) throw new Error(`${total} newest trials came back.`)
    })
    say(`list the newest of each of ${units} units`, newest, `list ${page} trials`, overApi, 'ms')
    const plan = await pool.query<{ 'QUERY PLAN': string }>(
      `explain ${sql.replaceAll('$1', "''").replace('$2', '100').replace('$3', '0').replace('$4', 'false').replace('$5', 'false')}`,
    )
    console.log(`  plan: ${plan.rows.map((row) => row['QUERY PLAN'].trim()).join(' | ')}`)
    await close(server)
    await feed.end()
  } finally {
    await pool.end()
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
