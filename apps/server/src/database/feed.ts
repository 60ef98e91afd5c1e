import pg from 'pg'
import type { Logger } from 'pino'
import type { Queryable } from './pool'

const channel = 'trial_changed'
const reconnectAfter = 500

/** Tells every follower of a trial that it changed, once the transaction at hand is stored. */
export async function tellOf(db: Queryable, trial: string): Promise<void> {
  await db.query('select pg_notify($1, $2)', [channel, trial])
}

/** What happens to trials, as the database tells it. */
export interface Feed {
  /** Calls back whenever the trial may have changed; returns how to stop. */
  readonly follow: (trial: string, changed: () => void) => () => void
  /** Calls back with whichever trial changed; with none where all may have. */
  readonly followAll: (changed: (trial: string | undefined) => void) => void
  readonly end: () => Promise<void>
}

/**
 * Listens to the database on a connection of its own, and listens again when that breaks; what was missed meanwhile is
 * made good by telling every follower to look.
 */
export function openFeed(connectionString: string, log: Logger): Feed {
  const followers = new Map<string, Set<() => void>>()
  const ofAll: ((trial: string | undefined) => void)[] = []
  let client: pg.Client | undefined
  let again: ReturnType<typeof setTimeout> | undefined
  let ended = false

  const listen = async () => {
    const made = new pg.Client({ connectionString, connectionTimeoutMillis: 5000, keepAlive: true })
    client = made
    const lost = (err?: Error) => {
      if (ended || client !== made) return
      client = undefined
      log.warn({ err }, 'the feed of changes broke; listening again')
      again = setTimeout(() => void listen(), reconnectAfter)
    }
    made.on('error', lost)
    made.on('end', () => lost())
    made.on('notification', ({ payload = '' }) => {
      for (const changed of followers.get(payload) ?? []) changed()
      for (const changed of ofAll) changed(payload)
    })
    try {
      await made.connect()
      await made.query(`listen ${channel}`)
      for (const trial of followers.values()) for (const changed of trial) changed()
      for (const changed of ofAll) changed(undefined)
    } catch (error) {
      lost(error instanceof Error ? error : undefined)
      await made.end().catch(() => undefined)
    }
  }
  void listen()

  return {
    follow(trial, changed) {
      const here = followers.get(trial) ?? new Set()
      followers.set(trial, here.add(changed))
      return () => {
        here.delete(changed)
        if (!here.size) followers.delete(trial)
      }
    },
    followAll(changed) {
      ofAll.push(changed)
    },
    async end() {
      ended = true
      clearTimeout(again)
      await client?.end().catch(() => undefined)
    },
  }
}
