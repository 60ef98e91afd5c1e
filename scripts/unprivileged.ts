import { spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import type { Account } from '@even-watt/server/cluster/account'

/** What a running server reads of the program. */
export interface Served {
  readonly web: string
  readonly demo: string
}

/** Where the certificate of the local network is kept. */
export function lanFolder(folder: string): string {
  const door = join(folder, 'lan')
  mkdirSync(door, { recursive: true, mode: 0o700 })
  return door
}

/**
 * Started as root, the rest of the run is the account's: nothing that answers requests has more rights than the
 * database. What it serves is copied beside the data first, for the account may not be let into root's own folders.
 */
export function becomeAccount(account: Account, folder: string, served: Served): Served {
  const copies = join(folder, 'program')
  rmSync(copies, { recursive: true, force: true })
  const copied: Served = { web: join(copies, 'web'), demo: join(copies, 'demo') }
  cpSync(served.web, copied.web, { recursive: true })
  cpSync(served.demo, copied.demo, { recursive: true })
  const door = lanFolder(folder)
  spawnSync('chown', ['-R', `${account.uid}:${account.gid}`, copies, door])
  process.setgroups?.([])
  process.setgid?.(account.gid)
  process.setuid?.(account.uid)
  return copied
}
