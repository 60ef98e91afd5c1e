import { ascii, joined, u32little } from './bytes'
import { exifOfOrientation } from './exif'
import { partsOfJpeg } from './jpeg'
import type { PictureParts } from './parts'
import { partsOfPng } from './png'
import { partsOfWebp } from './webp'

/** Pixels of a photograph that is taken in, at most: decoding one takes four bytes each. */
const mostPixelsTaken = 64e6

/**
 * Takes the bytes of a photograph apart without decoding them. Gives its type, its size in pixels and its parts; or
 * why it is no photograph that can be kept, in a sentence without its name. See docs/method/photographs.md.
 */
export function readPicture(bytes: Uint8Array): PictureParts | { readonly why: string } {
  const picture = partsOfJpeg(bytes) ?? partsOfPng(bytes) ?? partsOfWebp(bytes)
  if (!picture) return { why: whyNone(bytes) }
  const { width, height } = picture
  if (!width || !height) return { why: 'is a picture without a size.' }
  if (width * height > mostPixelsTaken)
    return {
      why: `has ${Math.round((width * height) / 1e6)} million pixels: up to ${mostPixelsTaken / 1e6} million are taken. Choose a smaller size in the camera.`,
    }
  return picture
}

/** What is in a picture beside it: where, when and with what it was taken, a smaller picture, a comment. */
export const toldIn = ({ parts }: Pick<PictureParts, 'parts'>): readonly string[] => [
  ...new Set(parts.flatMap(({ tells }) => tells ?? [])),
]

/** The same picture, pixel for pixel, without all that it tells beside; how it is to be turned is kept. */
export function withoutTold({ type, parts }: PictureParts): Uint8Array<ArrayBuffer> {
  const [head, ...others] = parts
  const rest = others.filter(({ tells }) => tells === undefined).map(({ bytes }) => bytes)
  if (!head) return new Uint8Array()
  if (type === 'image/jpeg') {
    const turned = parts.find((part) => part.turned !== undefined)?.turned ?? 1
    return joined([head.bytes, ...(turned > 1 ? [exifOfOrientation(turned)] : []), ...rest])
  }
  return type === 'image/webp' ? withoutFlags(joined([head.bytes, ...rest])) : joined([head.bytes, ...rest])
}

/** A WebP names its own length, and says in its first chunk what else it holds. */
function withoutFlags(webp: Uint8Array<ArrayBuffer>): Uint8Array<ArrayBuffer> {
  new DataView(webp.buffer).setUint32(4, webp.length - 8, true)
  const profileExifAndXmp = 0b10_1100
  if (ascii(webp, 12, 4) === 'VP8X') webp.set([u32little(webp, 20) & 0xff & ~profileExifAndXmp], 20)
  return webp
}

/** Width and height that fit into a square, never larger than they are. */
export function fitted(
  { width, height }: { width: number; height: number },
  longest: number,
): { width: number; height: number } {
  const factor = Math.min(1, longest / Math.max(width, height))
  return { width: Math.max(1, Math.round(width * factor)), height: Math.max(1, Math.round(height * factor)) }
}

const heic = /^(heic|heix|hevc|hevx|heim|heis|mif1|msf1)/

/** What the bytes are instead, as far as their beginning tells. */
function whyNone(bytes: Uint8Array): string {
  const begins = ascii(bytes, 0, 512)
  const brand = begins.slice(4, 8) === 'ftyp' ? begins.slice(8, 12) : ''
  if (heic.test(brand))
    return 'is in HEIC, which this browser cannot read: set the camera to “most compatible” (JPEG), or send the photograph to yourself, which turns it into one.'
  if (brand === 'avif') return 'is in AVIF: save it as JPEG or PNG.'
  if (brand) return 'is a film, no photograph: attach it as a file.'
  if (/<svg[\s>]/i.test(begins))
    return 'is a drawing (SVG), no photograph: save it as PNG, or attach it as a file.'
  if (begins.startsWith('GIF8') || begins.startsWith('BM') || /^(II\*\0|MM\0\*)/.test(begins))
    return 'is a picture of a kind that is not taken: save it as JPEG or PNG.'
  if (begins.startsWith('\xff\xd8') || begins.startsWith('\x89PNG') || begins.startsWith('RIFF'))
    return 'is damaged: its picture breaks off. Copy it from the camera again.'
  return 'is no photograph: JPEG, PNG and WebP are taken.'
}
