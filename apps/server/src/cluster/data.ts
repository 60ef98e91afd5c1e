import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import type { Account } from './account'
import { installedPostgres, type Binaries } from './binaries'
import { diskFull, StartError } from './startError'

export const superuser = 'even_watt'

/**
 * The programs that fit the data in a folder, which are made when they are not there yet. Data of a version that is not
 * installed are refused with what to do: PostgreSQL reads no other version's.
 */
export function dataFor(folder: string, account: Account | undefined): { bin: string; data: string } {
  const installed = installedPostgres()
  const [newest] = installed
  if (!newest)
    throw new StartError('PostgreSQL is not installed. Install it with: sudo apt-get install postgresql')
  const data = join(folder, 'postgres')
  if (!existsSync(data)) {
    initialise(newest, data, folder, account)
    return { bin: newest.bin, data }
  }
  const major = Number(readFileSync(join(data, 'PG_VERSION'), 'utf8'))
  const fitting = installed.find((one) => one.major === major)
  if (!fitting)
    throw new StartError(
      `The data in ${folder} are of PostgreSQL ${major}; installed is ${installed.map((one) => one.major).join(', ')}. ` +
        `Install postgresql-${major} and start again; or restore a backup into a new folder (README, Backing up).`,
    )
  return { bin: fitting.bin, data }
}

/** Made beside and renamed, so that a run killed in the middle leaves nothing half made. */
function initialise({ bin }: Binaries, data: string, folder: string, account: Account | undefined): void {
  const making = `${data}.new`
  rmSync(making, { recursive: true, force: true })
  const made = spawnSync(
    join(bin, 'initdb'),
    [
      '-D',
      making,
      '-U',
      superuser,
      '--auth=scram-sha-256',
      `--pwfile=${join(folder, 'password')}`,
      '--encoding=UTF8',
      '--locale=C.UTF-8',
      '--data-checksums',
    ],
    { ...account, cwd: folder, encoding: 'utf8' },
  )
  if (made.error) throw new StartError(`PostgreSQL cannot be run: ${made.error.message}`)
  if (made.status !== 0) {
    rmSync(making, { recursive: true, force: true })
    if (/No space left/i.test(made.stderr)) throw diskFull(folder)
    throw new StartError(`The database could not be made in ${data}: ${made.stderr.trim()}`)
  }
  renameSync(making, data)
}

/** Data made before checksums were on get them now; done while no server runs on them. */
export function ensureChecksums(bin: string, data: string, account: Account | undefined): void {
  const told = spawnSync(join(bin, 'pg_controldata'), ['-D', data], { ...account, encoding: 'utf8' })
  if (!/^Data page checksum version:\s+0$/m.test(told.stdout)) return
  spawnSync(join(bin, 'pg_checksums'), ['--enable', '-D', data], { ...account })
}
