import type { Entry } from './entries'
import type { AttachedFile } from './files'

// Apart, so that who asks only this loads no schema.

/** Kinds of entry that come with the bytes of a file. */
export const kindsWithFile = ['file', 'photograph', 'capture', 'log file'] as const

/** The file that an entry comes with, whose bytes are stored apart. */
export const fileOf = (entry: Entry): AttachedFile | undefined =>
  entry.kind === 'file' ||
  entry.kind === 'photograph' ||
  entry.kind === 'capture' ||
  entry.kind === 'log file'
    ? entry.reading
    : undefined
