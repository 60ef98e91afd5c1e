import { ascii, byteAt, u24little, u32little } from './bytes'
import { mostParts, type Part, type PictureParts } from './parts'

/** Chunks that are picture; a colour profile has room for words. */
const isPicture = new Set(['VP8 ', 'VP8L', 'VP8X', 'ALPH'])

/** The chunks of a WebP (RFC 9649). Undefined: it is none, broken off, or without a picture. */
export function partsOfWebp(bytes: Uint8Array): PictureParts | undefined {
  if (ascii(bytes, 0, 4) !== 'RIFF' || ascii(bytes, 8, 4) !== 'WEBP') return undefined
  const whole = 8 + u32little(bytes, 4)
  if (whole > bytes.length) return undefined
  const parts: Part[] = [{ bytes: bytes.subarray(0, 12) }]
  let size: Pick<PictureParts, 'width' | 'height'> | undefined
  for (let at = 12; at < whole && parts.length < mostParts;) {
    const length = u32little(bytes, at + 4)
    const end = Math.min(at + 8 + length + (length % 2), whole)
    if (at + 8 + length > whole) return undefined
    const name = ascii(bytes, at, 4)
    size ??= sizeIn(name, bytes.subarray(at + 8, end))
    parts.push({ bytes: bytes.subarray(at, end), ...(isPicture.has(name) ? {} : { tells: name.trim() }) })
    at = end
  }
  if (whole < bytes.length) parts.push({ bytes: bytes.subarray(whole), tells: 'data behind the picture' })
  return size && { type: 'image/webp', ...size, parts }
}

function sizeIn(name: string, content: Uint8Array): Pick<PictureParts, 'width' | 'height'> | undefined {
  if (name === 'VP8X') return { width: 1 + u24little(content, 4), height: 1 + u24little(content, 7) }
  if (name === 'VP8 ')
    return {
      width: u24little(content, 6) & 0x3fff,
      height: (byteAt(content, 8) + 256 * byteAt(content, 9)) & 0x3fff,
    }
  if (name !== 'VP8L') return undefined
  const bits = u32little(content, 1)
  return { width: 1 + (bits & 0x3fff), height: 1 + ((bits >>> 14) & 0x3fff) }
}
