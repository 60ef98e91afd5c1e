import { mostFile, type AttachedFile } from '@even-watt/contract'
import { postBytes } from './outbox'
import { formatNumber } from '@even-watt/core'

const hex = (bytes: ArrayBuffer) =>
  [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('')

const megabytes = (bytes: number) => `${formatNumber(bytes / 2 ** 20, bytes < 10 * 2 ** 20 ? 1 : 0)} MB`

/** The bytes of a chosen file, or why they cannot be taken. */
export async function bytesIn(file: File): Promise<{ bytes: ArrayBuffer } | { why: string }> {
  if (file.size > mostFile)
    return { why: `${file.name} has ${megabytes(file.size)}: up to ${megabytes(mostFile)} is taken.` }
  if (file.size === 0) return { why: `${file.name} is empty.` }
  try {
    return { bytes: await file.arrayBuffer() }
  } catch {
    return { why: `${file.name} cannot be read: it may have been moved or changed meanwhile.` }
  }
}

/** Keeps the bytes of a file in the browser until the server has them; gives what an entry names them by. */
export async function holdFile(
  bytes: ArrayBuffer,
  { name, type }: Pick<File, 'name' | 'type'>,
): Promise<Pick<AttachedFile, 'sha256' | 'size' | 'name' | 'type'>> {
  const sha256 = hex(await crypto.subtle.digest('SHA-256', bytes))
  await postBytes(sha256, new Blob([bytes], { type }))
  return { sha256, size: bytes.byteLength, name, type }
}
