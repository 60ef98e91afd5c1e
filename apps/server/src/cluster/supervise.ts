import { spawn, type ChildProcess } from 'node:child_process'
import { closeSync, openSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import type { Account } from './account'
import { endOrphans, isServer, leftOver, removeStalePid } from './leftOver'
import { pause, signal } from './processes'

interface Ground {
  readonly bin: string
  readonly data: string
  readonly folder: string
  readonly port: number
  /** The account to start it under; undefined: our own. */
  readonly account: () => Account | undefined
}

export interface Supervised {
  /** The exit code of a server that was started here and ended; null while it runs. */
  readonly exitCode: () => number | null
  /** Fast shutdown; resolves when the server is gone. */
  readonly stop: () => Promise<void>
}

const shortest = 500
const longest = 30_000
/** A server that stood this long was up: it starts again at once. One that cannot start ends sooner. */
const stood = 2000
const look = 500

const options = [
  'listen_addresses=127.0.0.1',
  'unix_socket_directories=',
  // A week of logs, one file a day, each overwritten a week later.
  'logging_collector=on',
  'log_filename=postgres-%a.log',
  'log_truncate_on_rotation=on',
  'log_rotation_age=1d',
  'log_rotation_size=0',
]

/**
 * Runs the postmaster, or watches one that an earlier run left, and starts it again whenever it ends: at once after a
 * long life, with growing pauses where it does not stay up. That it does not is said once, not at every attempt.
 */
export function supervise(
  { bin, data, folder, port, account }: Ground,
  running: { pid: number } | undefined,
  onEvent: (message: string) => void,
): Supervised {
  let stopping = false
  let child: ChildProcess | undefined
  let waiting: ReturnType<typeof setTimeout> | undefined
  let watch: ReturnType<typeof setInterval> | undefined
  let startedAt = Date.now()
  let failures = 0

  const ended = (why: string) => {
    if (stopping) return
    failures = Date.now() - startedAt > stood ? 0 : failures + 1
    if (failures <= 1) onEvent(`PostgreSQL ended unexpectedly${why}; starting it again.`)
    else if (failures === 5)
      onEvent(
        `PostgreSQL does not stay up${why}; it is tried again every ${longest / 1000} s. Its log: ${join(data, 'log')}.`,
      )
    waiting = setTimeout(() => void launch(), Math.min(longest, shortest * 2 ** Math.max(0, failures - 1)))
  }
  const launch = async () => {
    // Either comes first where it cannot be run at all; the other must not count twice.
    let over = false
    const once = (why: string) => {
      if (over) return
      over = true
      ended(why)
    }
    try {
      await endOrphans(data)
      if (stopping) return
      startedAt = Date.now()
      removeStalePid(data)
      child = begin()
      child.once('error', (error) => once(` (${error.message})`))
      child.once('exit', () => once(''))
    } catch (error) {
      startedAt = Date.now()
      once(` (${error instanceof Error ? error.message : String(error)})`)
    }
  }
  const begin = () => {
    // What it says before its own log is open; made anew, for it may be an earlier account's.
    const early = join(folder, 'postgres.log')
    rmSync(early, { force: true })
    const log = openSync(early, 'w')
    try {
      return spawn(
        join(bin, 'postgres'),
        ['-D', data, '-p', String(port), ...options.flatMap((option) => ['-c', option])],
        { ...account(), cwd: data, detached: true, stdio: ['ignore', log, log] },
      )
    } finally {
      closeSync(log)
    }
  }
  if (running) {
    // A server that was taken over is no child of ours: it is looked at instead.
    watch = setInterval(() => {
      if (isServer(running.pid, data)) return
      clearInterval(watch)
      ended('')
    }, look)
    watch.unref()
  } else void launch()

  return {
    exitCode: () => child?.exitCode ?? null,
    async stop() {
      stopping = true
      clearInterval(watch)
      clearTimeout(waiting)
      const pid = child?.exitCode === null ? child.pid : leftOver(data)?.pid
      if (pid === undefined) return
      signal(pid, 'SIGINT')
      for (let i = 0; i < 200 && isServer(pid, data); i++) await pause(50)
      if (isServer(pid, data)) signal(pid, 'SIGQUIT')
    },
  }
}
