import { capture } from '../outbox/capture'
import { bytesIn, holdFile } from '../outbox/files'
import { takePhotographs } from '../photographs/take'
import { answer } from '../ui/answers'

const photograph = /^image\/(jpeg|png|webp)$/

/**
 * Attaches a file to a trial: its bytes are kept first, then the entry that names them. A photograph becomes one, so that
 * nothing it tells of place and camera is kept. Resolves with why it cannot be.
 */
export async function attach(trial: string, revision: number, file: File): Promise<string | undefined> {
  if (photograph.test(file.type)) return (await takePhotographs(trial, revision, [file]))[0]
  const read = await bytesIn(file)
  if ('why' in read) return read.why
  const reading = await holdFile(read.bytes, file)
  const captured = capture(trial, { revision, kind: 'file', reading })
  if ('faults' in captured) return captured.faults.map(({ message }) => message).join(' ')
  await captured.kept
  answer(`${file.name} is attached.`)
  return undefined
}
