import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { commandLine, pause, runningIn, signal } from './processes'

interface Postmaster {
  readonly pid: number
  readonly port: number
}

/** First line of postmaster.pid: the process; fourth: its port. */
function readPidFile(data: string): Postmaster | undefined {
  const file = join(data, 'postmaster.pid')
  if (!existsSync(file)) return undefined
  const lines = readFileSync(file, 'utf8').split('\n')
  return { pid: Number(lines[0]), port: Number(lines[3]) }
}

/** Whether a process is the PostgreSQL of this data folder. */
export const isServer = (pid: number, data: string): boolean => {
  const line = commandLine(pid)
  return line !== undefined && line.includes('postgres') && line.includes(data)
}

/** The server that an earlier, killed run left; a stale pid file is removed. */
export function leftOver(data: string): Postmaster | undefined {
  const found = readPidFile(data)
  if (found && isServer(found.pid, data) && found.port > 0) return found
  removeStalePid(data)
  return undefined
}

/** A pid file whose process is not this server is stale, even when the number lives on in another program. */
export function removeStalePid(data: string): void {
  const found = readPidFile(data)
  if (found && !isServer(found.pid, data)) rmSync(join(data, 'postmaster.pid'), { force: true })
}

/** How long a process of a dead server may take to end, ms. */
const patience = 10_000

/**
 * Sees to it that nothing of a server whose postmaster died still works on its data. Its other processes may live on
 * for a while, and write: a new server beside them would lose what is committed. Throws when they do not end.
 */
export async function endOrphans(data: string): Promise<void> {
  const until = Date.now() + patience
  for (;;) {
    // A person may stand in the folder too: only PostgreSQL's own are meant.
    const orphans = runningIn(data).filter((pid) => commandLine(pid)?.includes('postgres'))
    if (!orphans.length) return
    if (Date.now() > until) throw new Error(`processes of the server before still run: ${orphans.join(', ')}`)
    for (const pid of orphans) signal(pid, 'SIGQUIT')
    await pause(50)
  }
}
