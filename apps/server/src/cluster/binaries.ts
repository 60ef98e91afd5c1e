import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

const debianRoot = '/usr/lib/postgresql'

export interface Binaries {
  readonly major: number
  readonly bin: string
}

/** Debian's PostgreSQL server programs, the newest version first. */
export function installedPostgres(): Binaries[] {
  if (!existsSync(debianRoot)) return []
  return readdirSync(debianRoot)
    .map((version) => ({ major: Number(version), bin: join(debianRoot, version, 'bin') }))
    .filter(({ bin }) => existsSync(join(bin, 'postgres')) && existsSync(join(bin, 'initdb')))
    .sort((a, b) => b.major - a.major)
}
