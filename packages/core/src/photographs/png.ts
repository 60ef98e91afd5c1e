import { ascii, u32 } from './bytes'
import { mostParts, type Part, type PictureParts } from './parts'

const signature = '\x89PNG\r\n\x1a\n'
/**
 * Chunks that are picture, colour or its printed size, with the most bytes that each has: more could hold words. What
 * animates stays out, for it may hide another picture, and so do profiles and palettes that carry a name.
 */
const mostBytes: ReadonlyMap<string, number> = new Map([
  ['IHDR', 13],
  ['PLTE', 768],
  ['IDAT', Infinity],
  ['IEND', 0],
  ['tRNS', 256],
  ['cHRM', 32],
  ['gAMA', 4],
  ['sBIT', 4],
  ['sRGB', 1],
  ['bKGD', 6],
  ['hIST', 512],
  ['pHYs', 9],
  ['cICP', 4],
  ['mDCV', 24],
  ['cLLI', 8],
])

/** The chunks of a PNG (ISO/IEC 15948). Undefined: it is none, or broken off. */
export function partsOfPng(bytes: Uint8Array): PictureParts | undefined {
  if (ascii(bytes, 0, 8) !== signature || ascii(bytes, 12, 4) !== 'IHDR') return undefined
  const parts: Part[] = [{ bytes: bytes.subarray(0, 8) }]
  let at = 8
  while (parts.length < mostParts) {
    const length = u32(bytes, at)
    const end = at + 12 + length
    if (end > bytes.length) return undefined
    const name = ascii(bytes, at + 4, 4)
    parts.push({
      bytes: bytes.subarray(at, end),
      ...(length <= (mostBytes.get(name) ?? -1) ? {} : { tells: name }),
    })
    at = end
    if (name !== 'IEND') continue
    if (at < bytes.length) parts.push({ bytes: bytes.subarray(at), tells: 'data behind the picture' })
    return { type: 'image/png', width: u32(bytes, 16), height: u32(bytes, 20), parts }
  }
  return undefined
}
