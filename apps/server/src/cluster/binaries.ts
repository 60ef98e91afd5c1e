import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

const debianRoot = '/usr/lib/postgresql'

/** Folder of Debian's newest PostgreSQL server programs; undefined when none is installed. */
export function findPostgres(): string | undefined {
  if (!existsSync(debianRoot)) return undefined
  return readdirSync(debianRoot)
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => join(debianRoot, version, 'bin'))
    .find((bin) => existsSync(join(bin, 'postgres')) && existsSync(join(bin, 'initdb')))
}
