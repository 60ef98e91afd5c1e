import { randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'
import { recall, remember } from '../database/installation'
import type { Queryable } from '../database/pool'

const derive = promisify(scrypt) as (password: string, salt: Buffer, length: number) => Promise<Buffer>
const key = 'passphrase'
const length = 32

/** Letters and digits that are not taken for one another. */
const alphabet = 'abcdefghjkmnpqrstuvwxyz23456789'

/** Three groups of five: 74 bits, to be typed on a phone once. */
export const makePassphrase = (): string =>
  Array.from({ length: 3 }, () =>
    Array.from({ length: 5 }, () => alphabet[randomInt(alphabet.length)]).join(''),
  ).join('-')

export const hasPassphrase = async (db: Queryable): Promise<boolean> => (await recall(db, key)) !== undefined

/** Keeps a hash of it, salted; the passphrase itself is kept nowhere. */
export async function keepPassphrase(db: Queryable, passphrase: string): Promise<void> {
  const salt = randomBytes(16)
  const hash = await derive(passphrase.normalize('NFKC'), salt, length)
  await remember(db, key, `${salt.toString('hex')}:${hash.toString('hex')}`)
}

export async function isPassphrase(db: Queryable, typed: string): Promise<boolean> {
  const [salt, hash] = ((await recall(db, key)) ?? '').split(':')
  if (!salt || !hash) return false
  return timingSafeEqual(
    await derive(typed.normalize('NFKC'), Buffer.from(salt, 'hex'), length),
    Buffer.from(hash, 'hex'),
  )
}
