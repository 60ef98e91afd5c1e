import { execFileSync, spawnSync } from 'node:child_process'

/** The account PostgreSQL runs under: it refuses to run as root. */
export interface Account {
  readonly uid: number
  readonly gid: number
}

/** Debian's postgres account when we are root; undefined: our own. */
export function databaseAccount(): Account | undefined {
  if (process.getuid?.() !== 0) return undefined
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }))
  return { uid: id('-u'), gid: id('-g') }
}

/** Whether that account can write in a folder. */
export const canWrite = (folder: string, account: Account | undefined): boolean =>
  spawnSync('test', ['-w', folder], account ?? {}).status === 0
