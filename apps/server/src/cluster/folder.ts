import { randomBytes } from 'node:crypto'
import { chmodSync, chownSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { canWrite, type Account } from './account'
import { onDisk, StartError } from './startError'

/** Makes the data folder, for the account's eyes only, or says which cannot be used. */
export function prepareFolder(folder: string, account: Account | undefined): void {
  try {
    onDisk(folder, () => mkdirSync(folder, { recursive: true }))
    if (account) chownSync(folder, account.uid, account.gid)
    chmodSync(folder, 0o700)
  } catch (error) {
    if (error instanceof StartError) throw error
    throw new StartError(
      `The data folder ${folder} cannot be made (${error instanceof Error ? error.message : String(error)}). Choose another with EVEN_WATT_DATA.`,
    )
  }
  if (!canWrite(folder, account)) {
    throw new StartError(
      account
        ? `The postgres account cannot reach ${folder}. Choose a folder it can reach with EVEN_WATT_DATA, such as /var/lib/even-watt.`
        : `${folder} cannot be written. Choose another folder with EVEN_WATT_DATA.`,
    )
  }
}

/**
 * The database's password, made at the first start: written beside and renamed, so that a start cut in the middle leaves
 * a whole one or none.
 */
export function passwordOf(folder: string, account: Account | undefined): string {
  const file = join(folder, 'password')
  const kept = existsSync(file) ? readFileSync(file, 'utf8').trim() : ''
  if (kept) return kept
  const password = randomBytes(24).toString('hex')
  onDisk(folder, () => writeFileSync(`${file}.new`, password, { mode: 0o600 }))
  if (account) chownSync(`${file}.new`, account.uid, account.gid)
  renameSync(`${file}.new`, file)
  return password
}
