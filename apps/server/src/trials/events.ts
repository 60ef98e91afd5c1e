import type { Response } from 'express'
import type { Pool } from 'pg'
import type { Feed } from '../database/feed'
import { lastSequence, readEntries, trialState } from './record'

const page = 1000
/** Often enough that neither end takes a quiet stream for a dead one, ms. */
const heartbeat = 15_000

/**
 * Streams what is new in a trial as server-sent events: `entries` from a cursor on, each with the cursor to go on from,
 * `trial` with its version and number of revisions at first and whenever one of them changed, and `reset` where the cursor
 * is none of this record.
 */
export async function streamTrial(
  { pool, feed }: { pool: Pool; feed: Feed },
  { trial, after, response }: { trial: string; after: string; response: Response },
): Promise<void> {
  let said = ''
  const last = await lastSequence(pool, trial)
  // Whoever broke off meanwhile has closed already, and will not tell of it again.
  if (response.closed) return
  response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' })
  response.write(':\n\n')
  // A cursor beyond all that is here is of another record, such as one from before a backup was restored.
  let cursor = after
  if (BigInt(after) > BigInt(last)) response.write('event: reset\ndata: {}\n\n')
  let waiting = false
  let busy = false

  const look = async () => {
    const state = await trialState(pool, trial)
    if (state !== said) response.write(`event: trial\ndata: ${(said = state)}\n\n`)
    for (let more = true; more;) {
      const found = await readEntries(pool, trial, cursor, page)
      if (found.cursor !== cursor)
        response.write(`id: ${found.cursor}\nevent: entries\ndata: ${found.entries}\n\n`)
      cursor = found.cursor
      more = found.more
    }
  }
  // One look at a time; what is told of meanwhile is looked for afterwards.
  const changed = () => {
    waiting = true
    if (busy) return
    busy = true
    void (async () => {
      while (waiting) {
        waiting = false
        await look().catch(() => response.end())
      }
      busy = false
    })()
  }
  const unfollow = feed.follow(trial, changed)
  const beat = setInterval(() => response.write(':\n\n'), heartbeat)
  response.on('close', () => {
    clearInterval(beat)
    unfollow()
  })
  changed()
}
