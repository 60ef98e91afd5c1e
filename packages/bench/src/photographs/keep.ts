import type { EntryOf, Photograph } from '@even-watt/contract'
import { createHash } from 'node:crypto'
import { PNG } from 'pngjs'
import { seeded } from '../random'
import type { Files } from '../scenario/waves'

type Said = Pick<Photograph, 'shows' | 'about' | 'note' | 'alt'> & Partial<Pick<Photograph, 'marks'>>

/** A painted photograph as the page would keep it. */
export function keepPhotograph(
  files: Files,
  bytes: Uint8Array,
  { at, revision, seed, name }: { at: string; revision: number; seed: number; name: string },
  { marks = [], ...said }: Said,
): EntryOf<'photograph'> {
  const sha256 = createHash('sha256').update(bytes).digest('hex')
  files.set(sha256, bytes)
  const { width, height } = PNG.sync.read(Buffer.from(bytes))
  return {
    id: seeded(seed).id(Date.parse(at)),
    revision,
    at,
    kind: 'photograph',
    reading: { sha256, size: bytes.length, name, type: 'image/png', width, height, marks, ...said },
  }
}
