import { mostFile } from '@even-watt/contract'
import { capture } from '../outbox/capture'
import { postBytes } from '../outbox/outbox'
import { answer } from '../ui/answers'
import { sayBytes } from './sayBytes'

const hex = (bytes: ArrayBuffer) =>
  [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('')

/** Attaches a file to a trial: its bytes are kept first, then the entry that names them. Resolves with why it cannot be. */
export async function attach(trial: string, revision: number, file: File): Promise<string | undefined> {
  if (file.size > mostFile)
    return `${file.name} has ${sayBytes(file.size)}: up to ${sayBytes(mostFile)} is taken.`
  if (file.size === 0) return `${file.name} is empty.`
  let bytes: ArrayBuffer
  try {
    bytes = await file.arrayBuffer()
  } catch {
    return `${file.name} cannot be read: it may have been moved or changed meanwhile.`
  }
  const sha256 = hex(await crypto.subtle.digest('SHA-256', bytes))
  await postBytes(sha256, new Blob([bytes], { type: file.type }))
  const captured = capture(trial, {
    revision,
    kind: 'file',
    reading: { sha256, size: file.size, name: file.name, type: file.type },
  })
  if ('faults' in captured) return captured.faults.map(({ message }) => message).join(' ')
  await captured.kept
  answer(`${file.name} is attached.`)
  return undefined
}
