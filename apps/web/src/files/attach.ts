import { capture } from '../outbox/capture'
import { bytesIn, holdFile } from '../outbox/files'
import { answer } from '../ui/answers'

/** Attaches a file to a trial: its bytes are kept first, then the entry that names them. Resolves with why it cannot be. */
export async function attach(trial: string, revision: number, file: File): Promise<string | undefined> {
  const read = await bytesIn(file)
  if ('why' in read) return read.why
  const reading = await holdFile(read.bytes, file)
  const captured = capture(trial, { revision, kind: 'file', reading })
  if ('faults' in captured) return captured.faults.map(({ message }) => message).join(' ')
  await captured.kept
  answer(`${file.name} is attached.`)
  return undefined
}
