import fc from 'fast-check'
import { fitted, readPicture, toldIn, withoutTold } from '.'
import { joined } from './bytes'
import { orientationIn } from './exif'

const latin = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0))
const big = (size: 2 | 4, value: number) => {
  const bytes = new Uint8Array(size)
  const view = new DataView(bytes.buffer)
  if (size === 2) view.setUint16(0, value)
  else view.setUint32(0, value)
  return bytes
}
const little = (value: number) => Uint8Array.of(value, value >> 8, value >> 16, value >>> 24)

const segment = (marker: number, content: Uint8Array) =>
  joined([Uint8Array.of(0xff, marker), big(2, content.length + 2), content])

/** Exif with an orientation, a maker and a place, big-endian as cameras write it. */
const exif = (turned: number) =>
  joined([
    latin('Exif\0\0MM\0*'),
    big(4, 8),
    big(2, 2),
    ...[big(2, 0x0112), big(2, 3), big(4, 1), big(2, turned), big(2, 0)],
    ...[big(2, 0x8825), big(2, 4), big(4, 1), big(4, 38)],
    big(4, 0),
    latin('N 54 12 Maker of cameras, number 4711'),
  ])

const scan = Uint8Array.of(0x12, 0xff, 0x00, 0x34, 0xff, 0xd0, 0x56)

/** A JPEG as far as its segments go: 640 by 480, coded data of a few bytes. */
const jpeg = (between: readonly Uint8Array[] = [], behind = new Uint8Array()) =>
  joined([
    Uint8Array.of(0xff, 0xd8),
    segment(0xe0, latin('JFIF\0\x01\x01\0\0\x01\0\x01\0\0')),
    ...between,
    segment(0xc0, joined([Uint8Array.of(8), big(2, 480), big(2, 640), Uint8Array.of(1, 1, 0x11, 0)])),
    segment(0xda, Uint8Array.of(1, 1, 0, 0, 63, 0)),
    scan,
    Uint8Array.of(0xff, 0xd9),
    behind,
  ])

const chunk = (name: string, content: Uint8Array) =>
  joined([big(4, content.length), latin(name), content, big(4, 0)])

/** A PNG of 7 by 5 as far as its chunks go, with others before its end. */
const png = (extra: readonly Uint8Array[] = []) =>
  joined([
    latin('\x89PNG\r\n\x1a\n'),
    chunk('IHDR', joined([big(4, 7), big(4, 5), Uint8Array.of(8, 2, 0, 0, 0)])),
    chunk('IDAT', scan),
    ...extra,
    chunk('IEND', new Uint8Array()),
  ])

const webpChunk = (name: string, content: Uint8Array) =>
  joined([latin(name), little(content.length), content, new Uint8Array(content.length % 2)])
const webp = (chunks: readonly Uint8Array[]) => {
  const body = joined([latin('WEBP'), ...chunks])
  return joined([latin('RIFF'), little(body.length), body])
}
const vp8x = (flags: number) =>
  webpChunk('VP8X', Uint8Array.of(flags, 0, 0, 0, 799 & 255, 799 >> 8, 0, 599 & 255, 599 >> 8, 0))
const vp8 = webpChunk('VP8 ', Uint8Array.of(0, 0, 0, 0x9d, 1, 0x2a, 800 & 255, 800 >> 8, 600 & 255, 600 >> 8))

const known = (bytes: Uint8Array) => {
  const picture = readPicture(bytes)
  if ('why' in picture) throw new Error(picture.why)
  return picture
}
const whyOf = (bytes: Uint8Array) => {
  const picture = readPicture(bytes)
  return 'why' in picture ? picture.why : 'it is taken'
}

describe('what a photograph is', () => {
  it('is told from its bytes, with its size, and nothing is decoded', () => {
    expect(known(jpeg())).toMatchObject({ type: 'image/jpeg', width: 640, height: 480 })
    expect(known(png())).toMatchObject({ type: 'image/png', width: 7, height: 5 })
    expect(known(webp([vp8x(0), vp8]))).toMatchObject({ type: 'image/webp', width: 800, height: 600 })
    expect(known(webp([vp8]))).toMatchObject({ type: 'image/webp', width: 800, height: 600 })
    const lossless = webpChunk('VP8L', Uint8Array.of(0x2f, ...little(99 | (49 << 14))))
    expect(known(webp([lossless]))).toMatchObject({ width: 100, height: 50 })
  })

  it('is whole: its parts together are its bytes', () => {
    for (const bytes of [
      jpeg([segment(0xe1, exif(6)), segment(0xfe, latin('a note'))], latin('more')),
      png([chunk('tEXt', latin('Author\0me'))]),
      webp([vp8x(8), vp8, webpChunk('EXIF', exif(1))]),
    ])
      expect(joined(known(bytes).parts.map((part) => part.bytes))).toEqual(bytes)
  })

  it.each([
    ['a file of a telephone', latin('\0\0\0\x18ftypheic\0\0\0\0'), /HEIC/],
    ['AVIF', latin('\0\0\0\x18ftypavif'), /AVIF/],
    ['a film', latin('\0\0\0\x18ftypmp42'), /film/],
    ['a drawing with a script', latin('<?xml version="1.0"?><svg onload="alert(1)">'), /SVG/],
    ['a GIF', latin('GIF89a'), /save it as JPEG/],
    ['a page', latin('<html><script>'), /no photograph/],
    ['nothing', new Uint8Array(), /no photograph/],
    ['a JPEG that breaks off', jpeg().subarray(0, -4), /damaged/],
    ['a PNG that breaks off', png().subarray(0, 40), /damaged/],
  ])('%s is refused in a sentence', (_, bytes, sentence) => expect(whyOf(bytes)).toMatch(sentence))

  it('of a hundred million pixels is refused before anybody decodes it', () => {
    const bomb = png()
    new DataView(bomb.buffer).setUint32(16, 10_000)
    new DataView(bomb.buffer).setUint32(20, 10_000)
    expect(whyOf(bomb)).toMatch(/has 100 million pixels: up to 64 million/)
  })

  it('never takes long or throws, whatever the bytes are', () => {
    const heads = [Uint8Array.of(0xff, 0xd8), latin('\x89PNG\r\n\x1a\n'), latin('RIFF')]
    fc.assert(
      fc.property(fc.constantFrom(...heads), fc.uint8Array({ maxLength: 400 }), (head, rest) => {
        const picture = readPicture(joined([head, rest]))
        return 'why' in picture || picture.width > 0
      }),
    )
    // A file of nothing but markers.
    expect(whyOf(joined([Uint8Array.of(0xff, 0xd8), new Uint8Array(4e6).fill(0xff)]))).toMatch(/damaged/)
  })
})

describe('what a photograph tells beside what is seen', () => {
  const dirty = jpeg(
    [
      segment(0xe1, exif(6)),
      segment(0xe1, latin('http://ns.adobe.com/xap/1.0/\0<x:xmpmeta/>')),
      segment(0xed, latin('Photoshop 3.0\0')),
      segment(0xe2, latin('MPF\0 a smaller picture')),
      segment(0xe2, latin('ICC_PROFILE\0\x01\x01')),
      segment(0xfe, latin('a note')),
    ],
    latin('a film behind it'),
  )

  it('is named', () => {
    expect(toldIn(known(dirty))).toEqual([
      'Exif',
      'application data 1',
      'application data 13',
      'application data 2',
      'a comment',
      'data behind the picture',
    ])
    expect(toldIn(known(jpeg()))).toEqual([])
    // Words behind a head that is known, or in a block that is longer than its kind can be.
    expect(
      toldIn(known(jpeg([segment(0xe0, latin('JFIF\0\x01\x01\0\0\x01\0\x01\0\0the lake road 4'))]))),
    ).toEqual(['application data 0'])
    expect(toldIn(known(jpeg([segment(0xee, latin('Adobe\0d\0\0\0\0\0the lake road 4'))])))).toEqual([
      'application data 14',
    ])
    expect(toldIn(known(png([chunk('gAMA', latin('the lake road 4')), chunk('iCCP', latin('x'))])))).toEqual([
      'gAMA',
      'iCCP',
    ])
    expect(toldIn(known(webp([vp8x(32), vp8, webpChunk('ICCP', latin('x'))])))).toEqual(['ICCP'])
    expect(toldIn(known(png([chunk('eXIf', exif(1)), chunk('iTXt', latin('x'))])))).toEqual(['eXIf', 'iTXt'])
    expect(
      toldIn(known(webp([vp8x(12), vp8, webpChunk('EXIF', exif(1)), webpChunk('XMP ', latin('x'))]))),
    ).toEqual(['EXIF', 'XMP'])
  })

  it('is gone afterwards, and the picture itself is byte for byte what it was', () => {
    const clean = withoutTold(known(dirty))
    expect(Buffer.from(clean).includes('Maker')).toBe(false)
    expect(Buffer.from(clean).includes('film')).toBe(false)
    expect(Buffer.from(clean).includes(Buffer.from(scan))).toBe(true)
    expect(Buffer.from(clean).includes('ICC_PROFILE')).toBe(false)
    expect(known(clean)).toMatchObject({ width: 640, height: 480 })
  })

  it('of how it is to be turned only that is kept', () => {
    const turned = known(withoutTold(known(dirty)))
    expect(turned.parts.flatMap((part) => part.turned ?? [])).toEqual([6])
    expect(toldIn(turned)).toEqual(['Exif'])
    // Upright already: nothing needs to be said.
    expect(toldIn(known(withoutTold(known(jpeg([segment(0xe1, exif(1))])))))).toEqual([])
  })

  it('leaves a PNG and a WebP that say what they are', () => {
    const clean = known(withoutTold(known(png([chunk('tEXt', latin('Author\0me'))]))))
    expect(clean).toMatchObject({ width: 7, height: 5 })
    const bare = withoutTold(known(webp([vp8x(12), vp8, webpChunk('EXIF', exif(1))])))
    expect(toldIn(known(bare))).toEqual([])
    // Its flags name no Exif and no XMP any more, and its length is its own.
    expect(bare[20]).toBe(0)
    expect(new DataView(bare.buffer).getUint32(4, true)).toBe(bare.length - 8)
  })
})

describe('orientation', () => {
  it('is read in either order of bytes, and only where it is one', () => {
    expect(orientationIn(exif(8).subarray(6))).toBe(8)
    expect(orientationIn(exif(9).subarray(6))).toBeUndefined()
    const intel = Uint8Array.of(0x49, 0x49, 42, 0, 8, 0, 0, 0, 1, 0, 0x12, 1, 3, 0, 1, 0, 0, 0, 3, 0, 0, 0)
    expect(orientationIn(intel)).toBe(3)
    expect(orientationIn(latin('II'))).toBeUndefined()
    expect(orientationIn(new Uint8Array())).toBeUndefined()
  })
})

describe('a size that fits', () => {
  it('keeps the proportions, never grows, and never vanishes', () => {
    expect(fitted({ width: 4000, height: 3000 }, 2000)).toEqual({ width: 2000, height: 1500 })
    expect(fitted({ width: 800, height: 600 }, 2000)).toEqual({ width: 800, height: 600 })
    expect(fitted({ width: 20_000, height: 1 }, 2000)).toEqual({ width: 2000, height: 1 })
  })
})
