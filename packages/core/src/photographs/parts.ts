/** A picture taken apart, without decoding it. */
export interface PictureParts {
  readonly type: 'image/jpeg' | 'image/png' | 'image/webp'
  /** Pixels as stored: a camera may say beside them that they are to be turned. */
  readonly width: number
  readonly height: number
  /** Runs of bytes in their order; together they are the whole file. */
  readonly parts: readonly Part[]
}

export interface Part {
  readonly bytes: Uint8Array
  /** What it would tell of who took it, where and with what; undefined: it is only picture. */
  readonly tells?: string
  /** Of a picture that is to be turned: Exif's orientation, 1 to 8. */
  readonly turned?: number
}

/** Parts of one file, at most: a photograph has some dozens. */
export const mostParts = 100_000
