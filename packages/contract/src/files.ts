import * as z from 'zod/mini'
import { Id, matching, plain, text, whole, words } from './shared'

/** Bytes of one file, at most. */
export const mostFile = 64 * 2 ** 20
/** Bytes of all files of one trial, at most. */
export const mostFiles = 2 ** 30
/** Files are sent and stored in parts of this many bytes; only the last is shorter. */
export const partSize = 2 ** 20

/** What bytes are called: their SHA-256, so that the same bytes are kept once. */
export const Sha256 = matching(/^[0-9a-f]{64}$/i, 'SHA-256: 64 hexadecimal digits.').check(z.toLowerCase())

/** A file attached to a trial, or to one entry of it; its bytes are stored apart. */
export const AttachedFile = z.object({
  sha256: Sha256,
  size: whole('Bytes of the file', 1, mostFile),
  name: words('Name of the file', 200),
  /** Media type as the browser knows it, such as image/jpeg. */
  type: plain('Type of the file', 100),
  about: z.optional(Id),
  note: text('Note', 1000),
})
export type AttachedFile = z.infer<typeof AttachedFile>
