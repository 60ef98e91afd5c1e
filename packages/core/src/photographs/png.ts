import { ascii, u32 } from './bytes'
import { mostParts, type Part, type PictureParts } from './parts'

const signature = '\x89PNG\r\n\x1a\n'
/** Chunks that are picture, colour or its printed size; what animates stays out, for it may hide another picture. */
const isPicture = new Set([
  ...['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'cHRM', 'gAMA', 'iCCP', 'sBIT', 'sRGB'],
  ...['bKGD', 'hIST', 'pHYs', 'sPLT', 'cICP', 'mDCV', 'cLLI'],
])

/** The chunks of a PNG (ISO/IEC 15948). Undefined: it is none, or broken off. */
export function partsOfPng(bytes: Uint8Array): PictureParts | undefined {
  if (ascii(bytes, 0, 8) !== signature || ascii(bytes, 12, 4) !== 'IHDR') return undefined
  const parts: Part[] = [{ bytes: bytes.subarray(0, 8) }]
  let at = 8
  while (parts.length < mostParts) {
    const end = at + 12 + u32(bytes, at)
    if (end > bytes.length) return undefined
    const name = ascii(bytes, at + 4, 4)
    parts.push({ bytes: bytes.subarray(at, end), ...(isPicture.has(name) ? {} : { tells: name }) })
    at = end
    if (name !== 'IEND') continue
    if (at < bytes.length) parts.push({ bytes: bytes.subarray(at), tells: 'data behind the picture' })
    return { type: 'image/png', width: u32(bytes, 16), height: u32(bytes, 20), parts }
  }
  return undefined
}
