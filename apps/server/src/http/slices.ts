import { Readable } from 'node:stream'

const sliceSize = 2 ** 16

/** Many bytes slice by slice, so that others are served between two. */
export const slicesOf = (bytes: Uint8Array): Readable =>
  Readable.from(
    (function* () {
      for (let at = 0; at < bytes.length; at += sliceSize) yield bytes.subarray(at, at + sliceSize)
    })(),
  )
