import type { Page } from '@playwright/test'

const tiffOf = (turned: number): Buffer => {
  const tiff = Buffer.alloc(140)
  tiff.write('MM\0*', 0, 'latin1')
  tiff.writeUInt32BE(8, 4)
  tiff.writeUInt16BE(3, 8)
  const field = (i: number, tag: number, type: number, count: number) => {
    const at = 10 + 12 * i
    tiff.writeUInt16BE(tag, at)
    tiff.writeUInt16BE(type, at + 2)
    tiff.writeUInt32BE(count, at + 4)
    return at + 8
  }
  tiff.writeUInt32BE(60, field(0, 0x010f, 2, 16))
  tiff.writeUInt16BE(turned, field(1, 0x0112, 3, 1))
  tiff.writeUInt32BE(80, field(2, 0x8825, 4, 1))
  tiff.write('SERIAL-4711-HERE', 60, 'latin1')
  tiff.writeUInt16BE(1, 80)
  tiff.writeUInt16BE(1, 82)
  tiff.writeUInt16BE(2, 84)
  tiff.writeUInt32BE(2, 86)
  tiff.write('N\0', 90, 'latin1')
  return tiff
}

/** What a camera that lay on its side hands over: a real JPEG of 1200 by 800, to be turned, with place and serial number. */
export async function fromCamera(page: Page): Promise<Buffer> {
  const coded = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(1200, 800)
    const context = canvas.getContext('2d')
    context?.fillRect(0, 0, 600, 400)
    const bytes = await (await canvas.convertToBlob({ type: 'image/jpeg' })).arrayBuffer()
    return [...new Uint8Array(bytes)]
  })
  const jpeg = Buffer.from(coded)
  const exif = Buffer.concat([Buffer.from([0xff, 0xe1, 0, 0]), Buffer.from('Exif\0\0', 'latin1'), tiffOf(6)])
  exif.writeUInt16BE(exif.length - 2, 2)
  return Buffer.concat([jpeg.subarray(0, 2), exif, jpeg.subarray(2)])
}
