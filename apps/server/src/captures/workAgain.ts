import type { EntryOf } from '@even-watt/contract'
import { analysisVersion, sameFigures } from '@even-watt/core/waveform/index'
import { randomUUID } from 'node:crypto'
import type { Pool } from 'pg'
import type { Logger } from 'pino'
import type { Feed } from '../database/feed'
import { transaction } from '../database/pool'
import { readParts } from '../files/blobs'
import { appendEntries, lockTrial } from '../trials/record'
import { TookTooLong, type Besides } from '../besides/besides'
import { workBytes, type Found } from './workBytes'

type Capture = EntryOf<'capture'>

interface Due {
  readonly trial: string
  readonly body: Capture
  /** What its bytes gave by an earlier version, where that was not what it came with. */
  readonly again: EntryOf<'worked again'> | null
}

interface Looking {
  readonly besides: Besides
  readonly log: Logger
  /** Absent: of all trials. */
  readonly trial?: string | undefined
  /** Captures on which the work itself failed since the start. */
  readonly failed?: Set<string>
}

/**
 * Works the bytes of every capture that this version of the analysis has not worked yet, of one trial or of all. Figures that
 * came with a capture, from a page, a script or another installation, are a cache: where the bytes give others, an entry says
 * so and counts in their place. Where the bytes did not come along there is nothing to work. Returns how many entries there were.
 */
export async function workDue(
  pool: Pool,
  { besides, trial, log, failed = new Set() }: Looking,
): Promise<number> {
  const { rows } = await pool.query<Due>(
    `select entry.trial, entry.body, (
       select other.body from entry as other where other.trial = entry.trial and other.kind = 'worked again'
         and other.body->>'entry' = entry.id::text order by other.sequence desc limit 1) as again
     from entry join blob on blob.sha256 = entry.body #>> '{reading,sha256}' and blob.whole
       left join capture_worked as worked on worked.entry = entry.id and worked.version = $1
     where entry.kind = 'capture' and worked.entry is null and ($2::uuid is null or entry.trial = $2)
       and entry.body #> '{reading,picture}' is distinct from 'true'
     order by entry.sequence desc`,
    [analysisVersion, trial ?? null],
  )
  let told = 0
  for (const due of rows) {
    const { id, reading } = due.body
    if (failed.has(id)) continue
    try {
      const found = await besides
        .run(workBytes, await bytesOf(pool, reading.sha256), reading.recipe)
        .catch(late)
      if (await keep(pool, due, found)) told += 1
    } catch (err) {
      // A fault of ours speaks against no reading: it is tried again at the next start.
      failed.add(id)
      log.error({ err, capture: id }, 'a capture could not be worked again')
    }
  }
  return told
}

/** Bytes that take too long to be worked decide nothing, and that is said. */
function late(error: unknown): Found {
  if (error instanceof TookTooLong) return { fault: 'Working its bytes took more than five minutes.' }
  throw error
}

async function bytesOf(pool: Pool, sha256: string): Promise<Uint8Array> {
  const parts: Buffer[] = []
  for await (const part of readParts(pool, sha256, 0)) parts.push(part)
  return Buffer.concat(parts)
}

/** Notes that a capture was worked, and what it gave where that is news. */
async function keep(pool: Pool, { trial, body, again }: Due, found: Found): Promise<boolean> {
  const said = again?.found ?? { figures: body.reading.figures }
  const isNews = !sameFigures(said, found)
  await transaction(pool, async (client) => {
    await lockTrial(client, trial)
    await client.query(
      `insert into capture_worked (entry, trial, version) values ($1, $2, $3)
       on conflict (entry) do update set version = excluded.version`,
      [body.id, trial, analysisVersion],
    )
    if (!isNews) return
    const entry: EntryOf<'worked again'> = {
      id: randomUUID(),
      revision: body.revision,
      at: new Date().toISOString(),
      kind: 'worked again',
      entry: body.id,
      version: analysisVersion,
      found,
    }
    await appendEntries(client, trial, [entry], 'nobody')
  })
  return isNews
}

/** Keeps the figures of all captures those of their bytes: at the start, and whenever a trial changes. */
export function keepWorked({
  pool,
  feed,
  log,
  besides,
}: {
  pool: Pool
  feed: Feed
  log: Logger
  besides: Besides
}): void {
  const waiting = new Set<string | undefined>()
  const failed = new Set<string>()
  let busy = false
  const look = async () => {
    if (busy) return
    busy = true
    for (const trial of waiting) {
      waiting.delete(trial)
      await workDue(pool, { besides, trial, log, failed }).catch((err: unknown) => {
        if (!pool.ending) log.warn({ err }, 'captures were not looked at')
      })
    }
    busy = false
  }
  feed.followAll((trial) => {
    waiting.add(trial)
    void look()
  })
}
