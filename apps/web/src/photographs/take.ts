import type { Photograph } from '@even-watt/contract'
import { capture } from '../outbox/capture'
import { holdFile } from '../outbox/files'
import { answer } from '../ui/answers'
import { remembered } from '../ui/browserStore'
import { prepare } from './prepare'

/** What a photograph is of: a claim, an element, a reading …, and what it shows. */
export type Subject = Pick<Photograph, 'about' | 'shows'>

const keepsOriginals = 'photographs keep originals'
export const originalsKept = (): boolean => remembered.read(keepsOriginals) === 'yes'
export const keepOriginals = (keep: boolean): void => remembered.keep(keepsOriginals, keep ? 'yes' : 'no')

/** Takes chosen files in as photographs, one after the other; resolves with a sentence for each that could not be. */
export async function takePhotographs(
  trial: string,
  revision: number,
  files: readonly File[],
  subject: Subject = {},
): Promise<string[]> {
  const faults: string[] = []
  let taken = 0
  for (const file of files) {
    const why = await takeOne(trial, revision, file, subject)
    if (why === undefined) taken += 1
    else faults.push(why)
  }
  if (taken) answer(taken === 1 ? 'The photograph is kept.' : `${taken} photographs are kept.`)
  return faults
}

async function takeOne(
  trial: string,
  revision: number,
  file: File,
  subject: Subject,
): Promise<string | undefined> {
  const prepared = await prepare(file)
  if ('why' in prepared) return prepared.why
  const { bytes, width, height, takenAt, original } = prepared
  const name = `${file.name.replace(/\.\w{1,5}$/, '')}.jpg`.slice(-200)
  const held = await holdFile(bytes, { name, type: 'image/jpeg' })
  const captured = capture(trial, {
    revision,
    kind: 'photograph',
    reading: {
      ...held,
      type: 'image/jpeg',
      width,
      height,
      marks: [],
      ...subject,
      ...(takenAt === undefined ? {} : { takenAt }),
    },
  })
  if ('faults' in captured) return captured.faults.map(({ message }) => message).join(' ')
  await captured.kept
  if (!originalsKept()) return undefined
  const whole = await holdFile(original.bytes, { name: file.name, type: original.type })
  const kept = capture(trial, { revision, kind: 'file', reading: { ...whole, about: captured.entry.id } })
  if ('faults' in kept) return kept.faults.map(({ message }) => message).join(' ')
  await kept.kept
  return undefined
}
