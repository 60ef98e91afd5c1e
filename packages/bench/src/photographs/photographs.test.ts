import { readPicture, toldIn } from '@even-watt/core/photographs/index'
import { PNG } from 'pngjs'
import { Canvas } from './canvas'
import { glyphRows } from './glyphs'
import { keepPhotograph } from './keep'
import { boxPicture, insidePicture, labelPicture, lugPicture } from './scenes'

const pixelsOf = (bytes: Uint8Array) => PNG.sync.read(Buffer.from(bytes))

describe('painted photographs', () => {
  const all = {
    label: labelPicture('OTTREL 1400-24', ['CONTINUOUS 1400 W'], 1),
    inside: insidePicture({ fins: 6, fan: 'large' }, 2),
    lug: lugPicture({ hot: true }, 3),
    box: boxPicture(4),
  }

  it.each(Object.entries(all))('%s is a picture that tells nothing but itself', (_, bytes) => {
    const picture = readPicture(bytes)
    if ('why' in picture) throw new Error(picture.why)
    expect(picture).toMatchObject({ type: 'image/png', width: 960, height: 640 })
    expect(toldIn(picture)).toEqual([])
    expect(bytes.length).toBeLessThan(200_000)
  })

  it('are the same each time, byte for byte, and others with another seed', () => {
    expect(lugPicture({ hot: true }, 3)).toEqual(all.lug)
    expect(lugPicture({ hot: true }, 5)).not.toEqual(all.lug)
    expect(lugPicture({ hot: false }, 3)).not.toEqual(all.lug)
  })

  it('are kept under the hash of their bytes', () => {
    const files = new Map<string, Uint8Array>()
    const at = '2026-03-12T08:00:00.000Z'
    const entry = keepPhotograph(
      files,
      all.box,
      { at, revision: 1, seed: 7, name: 'box.png' },
      { shows: 'box' },
    )
    expect(files.get(entry.reading.sha256)).toBe(all.box)
    expect(entry.reading).toMatchObject({ width: 960, height: 640, size: all.box.length, marks: [] })
  })
})

describe('a canvas', () => {
  const white = [255, 255, 255] as const
  const black = [0, 0, 0] as const
  const inked = (canvas: Canvas) => {
    const { data } = pixelsOf(canvas.png())
    return Array.from({ length: data.length / 4 }, (_, i) => data[4 * i] === 0).filter(Boolean).length
  }

  it('paints what is inside its edges, and nothing else', () => {
    expect(inked(new Canvas(20, 10, white))).toBe(0)
    expect(inked(new Canvas(20, 10, white).rect(2, 3, 4, 5, black))).toBe(20)
    expect(inked(new Canvas(20, 10, white).rect(-5, -5, 100, 100, black))).toBe(200)
    expect(inked(new Canvas(20, 10, white).rect(30, 30, 4, 4, black))).toBe(0)
  })

  it('paints a disc of about its area, and a line of about its length', () => {
    expect(inked(new Canvas(60, 60, white).disc(30, 30, 20, black)) / (Math.PI * 400)).toBeCloseTo(1, 1)
    const line = inked(new Canvas(60, 60, white).line(10, 30, 50, 30, 6, black))
    expect(line / (40 * 6 + Math.PI * 9)).toBeCloseTo(1, 0)
  })

  it('writes with as many dots as its letters have', () => {
    const dots = (words: string) =>
      [...words].flatMap(glyphRows).reduce((sum, row) => sum + row.toString(2).replaceAll('0', '').length, 0)
    expect(dots('AB')).toBeGreaterThan(20)
    expect(inked(new Canvas(200, 40, white).text(4, 4, 'AB', 2, black))).toBe(4 * dots('AB'))
    expect(dots(' ')).toBe(0)
    expect(glyphRows('ß')).toEqual([0, 0, 0, 0, 0, 0, 0])
  })
})
