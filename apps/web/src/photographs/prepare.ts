import { mostFile } from '@even-watt/contract'
import { fitted, readPicture, withoutTold } from '@even-watt/core/photographs/index'
import { sayBytes } from '../ui/sayBytes'

/** Pixels of the longer side of a photograph as it is kept: the print of a label is still read. */
const longest = 2000
const quality = 0.85
/** A file younger than this, ms, was photographed for this trial just now. */
const justNow = 2 * 60_000

export interface Prepared {
  readonly bytes: ArrayBuffer
  readonly width: number
  readonly height: number
  /** When the file was made, where that was not just now. */
  readonly takenAt?: string
  /** The same at its full size, without what it told of place, time and camera. */
  readonly original: { readonly bytes: ArrayBuffer; readonly type: string }
}

/**
 * A chosen file as a photograph that can be kept: decoded by the browser, turned upright, scaled, and coded anew, so
 * that only what is seen is left of it. Or why it cannot be, in a sentence. Bytes are looked at before anything decodes
 * them: a small file can claim a picture that fills the memory.
 */
export async function prepare(file: File): Promise<Prepared | { readonly why: string }> {
  if (file.size > mostFile)
    return { why: `${file.name} has ${sayBytes(file.size)}: up to ${sayBytes(mostFile)} is taken.` }
  if (file.size === 0) return { why: `${file.name} is empty.` }
  const source = await file.arrayBuffer().catch(() => undefined)
  if (!source) return { why: `${file.name} cannot be read: it may have been moved or changed meanwhile.` }
  const picture = readPicture(new Uint8Array(source))
  if ('why' in picture) return { why: `${file.name} ${picture.why}` }
  try {
    const drawn = await createImageBitmap(new Blob([source], { type: picture.type }))
    const { width, height } = fitted(drawn, longest)
    const canvas = new OffscreenCanvas(width, height)
    const context = canvas.getContext('2d')
    if (!context) return { why: 'This browser draws no pictures, so photographs cannot be scaled here.' }
    // A drawing without a ground stands on paper.
    context.fillStyle = '#fff'
    context.fillRect(0, 0, width, height)
    context.imageSmoothingQuality = 'high'
    context.drawImage(drawn, 0, 0, width, height)
    drawn.close()
    const coded = await canvas.convertToBlob({ type: 'image/jpeg', quality })
    return {
      bytes: await withoutProfile(coded),
      width,
      height,
      original: { bytes: withoutTold(picture).buffer, type: picture.type },
      ...(Date.now() - file.lastModified > justNow && file.lastModified > 0
        ? { takenAt: new Date(file.lastModified).toISOString() }
        : {}),
    }
  } catch {
    return { why: `${file.name} is damaged: its picture cannot be drawn. Copy it from the camera again.` }
  }
}

/** A browser writes a colour profile into what it codes: it is that of every screen, and is not wanted. */
async function withoutProfile(coded: Blob): Promise<ArrayBuffer> {
  const bytes = await coded.arrayBuffer()
  const picture = readPicture(new Uint8Array(bytes))
  return 'why' in picture ? bytes : withoutTold(picture).buffer
}
