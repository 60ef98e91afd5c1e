import type { AttachedFile } from '@even-watt/contract'
import { capture } from '../outbox/capture'
import { bytesIn, holdFile } from '../outbox/files'
import { takePhotographs } from '../photographs/take'
import { answer } from '../ui/answers'

const photograph = /^image\/(jpeg|png|webp)$/

/** What a file is of, and a note on it. */
export type Of = Pick<AttachedFile, 'about' | 'note'>

/**
 * Attaches a file to a trial: its bytes are kept first, then the entry that names them. A photograph becomes one, so that
 * nothing it tells of place and camera is kept. Resolves with why it cannot be.
 */
export async function attach(
  trial: string,
  revision: number,
  file: File,
  { about, note }: Of,
): Promise<string | undefined> {
  if (photograph.test(file.type))
    return (await takePhotographs(trial, revision, [file], about === undefined ? {} : { about }))[0]
  const read = await bytesIn(file)
  if ('why' in read) return read.why
  const reading = await holdFile(read.bytes, file)
  const captured = capture(trial, { revision, kind: 'file', reading: { ...reading, about, note } })
  if ('faults' in captured) return captured.faults.map(({ message }) => message).join(' ')
  await captured.kept
  answer(`${file.name} is attached.`)
  return undefined
}
