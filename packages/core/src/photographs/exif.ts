import { ascii, u16, u32, u32little, byteAt } from './bytes'

const orientationTag = 0x0112
const mostFields = 200

/** How a picture is to be turned, 1 to 8, as the Exif data behind its head `Exif\0\0` say it; undefined: they do not. */
export function orientationIn(tiff: Uint8Array): number | undefined {
  const order = ascii(tiff, 0, 2)
  if (order !== 'II' && order !== 'MM') return undefined
  const short = (at: number) =>
    order === 'MM' ? u16(tiff, at) : byteAt(tiff, at) + 256 * byteAt(tiff, at + 1)
  const directory = order === 'MM' ? u32(tiff, 4) : u32little(tiff, 4)
  const fields = Math.min(short(directory), mostFields)
  for (let i = 0; i < fields; i++) {
    const at = directory + 2 + 12 * i
    if (short(at) !== orientationTag) continue
    const value = short(at + 8)
    return value >= 1 && value <= 8 ? value : undefined
  }
  return undefined
}

/** Exif data of a JPEG that say how it is to be turned, and nothing else. */
export const exifOfOrientation = (turned: number): Uint8Array =>
  Uint8Array.of(
    ...[0xff, 0xe1, 0x00, 0x22],
    ...[0x45, 0x78, 0x69, 0x66, 0, 0],
    // TIFF, big-endian, one field: orientation, of type SHORT, once.
    ...[0x4d, 0x4d, 0, 0x2a, 0, 0, 0, 8, 0, 1],
    ...[0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, turned, 0, 0],
    ...[0, 0, 0, 0],
  )
