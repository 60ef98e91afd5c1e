import { ascii, byteAt, u16 } from './bytes'
import { orientationIn } from './exif'
import { mostParts, type Part, type PictureParts } from './parts'

const startOfScan = 0xda
const endOfImage = 0xd9
/** Frames of every coding; between them stand tables that are none. */
const isFrame = (marker: number) => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)
/** Markers that stand alone, without a length. */
const standsAlone = (marker: number) => marker === 0x01 || (marker >= 0xd0 && marker <= 0xd8)

/**
 * The segments of a JPEG (ISO/IEC 10918-1, annex B). Of its application data only the frame of the file (JFIF) and the
 * colour transform are picture; all else tells something, a colour profile too, for it has room for words. Undefined: it is none, or broken off
 * before its picture.
 */
export function partsOfJpeg(bytes: Uint8Array): PictureParts | undefined {
  if (u16(bytes, 0) !== 0xffd8) return undefined
  const parts: Part[] = [{ bytes: bytes.subarray(0, 2) }]
  let size: Pick<PictureParts, 'width' | 'height'> | undefined
  let at = 2
  while (parts.length < mostParts) {
    if (byteAt(bytes, at) !== 0xff || at + 1 >= bytes.length) return undefined
    const marker = byteAt(bytes, at + 1)
    // Filled up with 0xff before a marker.
    if (marker === 0xff) {
      at += 1
      continue
    }
    if (marker === endOfImage) {
      if (!size) return undefined
      parts.push({ bytes: bytes.subarray(at, at + 2) })
      if (at + 2 < bytes.length)
        parts.push({ bytes: bytes.subarray(at + 2), tells: 'data behind the picture' })
      return { type: 'image/jpeg', ...size, parts }
    }
    const end = standsAlone(marker) ? at + 2 : at + 2 + u16(bytes, at + 2)
    if (end > bytes.length || (!standsAlone(marker) && u16(bytes, at + 2) < 2)) return undefined
    if (isFrame(marker)) size = { height: u16(bytes, at + 5), width: u16(bytes, at + 7) }
    // What was coded follows its head, up to the next marker that is no restart and no stuffed byte.
    const next = marker === startOfScan ? endOfScan(bytes, end) : end
    if (next === undefined) return undefined
    parts.push({ bytes: bytes.subarray(at, next), ...toldBy(marker, bytes.subarray(at + 4, end)) })
    at = next
  }
  return undefined
}

function endOfScan(bytes: Uint8Array, from: number): number | undefined {
  for (let at = from; ; at += 2) {
    at = bytes.indexOf(0xff, at)
    if (at < 0 || at + 1 >= bytes.length) return undefined
    const next = byteAt(bytes, at + 1)
    if (next === 0xff) at -= 1
    else if (next !== 0 && !(next >= 0xd0 && next <= 0xd7)) return at
  }
}

/** Lengths of the heads that are kept: behind more, a smaller picture or words could stand. */
const jfif = 14
const adobe = 12

function toldBy(marker: number, content: Uint8Array): Pick<Part, 'tells' | 'turned'> {
  const name = ascii(content, 0, 12)
  if (marker === 0xe0 && name.startsWith('JFIF\0') && content.length === jfif) return {}
  if (marker === 0xee && name.startsWith('Adobe') && content.length === adobe) return {}
  if (marker === 0xe1 && name.startsWith('Exif\0\0')) {
    const turned = orientationIn(content.subarray(6))
    return { tells: 'Exif', ...(turned === undefined ? {} : { turned }) }
  }
  if (marker >= 0xe0 && marker <= 0xef) return { tells: `application data ${marker - 0xe0}` }
  return marker === 0xfe ? { tells: 'a comment' } : {}
}
