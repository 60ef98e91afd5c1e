import { PNG } from 'pngjs'
import type { Random } from '../random'
import { glyphRows, glyphSize } from './glyphs'

export type Colour = readonly [red: number, green: number, blue: number]

/** A picture that code paints: plain shapes, letters of dots, and a lamp above the bench. */
export class Canvas {
  private readonly data: Uint8ClampedArray

  constructor(
    readonly width: number,
    readonly height: number,
    ground: Colour,
  ) {
    this.data = new Uint8ClampedArray(4 * width * height)
    this.paint(() => true, ground)
  }

  /** Paints every pixel of which something holds. */
  private paint(
    holds: (x: number, y: number) => boolean,
    colour: Colour,
    [left, top, right, bottom] = [0, 0, this.width, this.height],
  ): void {
    for (let y = Math.max(0, Math.floor(top)); y < Math.min(this.height, bottom); y++)
      for (let x = Math.max(0, Math.floor(left)); x < Math.min(this.width, right); x++)
        if (holds(x, y)) this.data.set([...colour, 255], 4 * (y * this.width + x))
  }

  rect(x: number, y: number, width: number, height: number, colour: Colour): this {
    this.paint(() => true, colour, [x, y, x + width, y + height])
    return this
  }

  disc(x: number, y: number, radius: number, colour: Colour): this {
    this.paint((px, py) => Math.hypot(px - x, py - y) <= radius, colour, [
      x - radius,
      y - radius,
      x + radius + 1,
      y + radius + 1,
    ])
    return this
  }

  line(x1: number, y1: number, x2: number, y2: number, thick: number, colour: Colour): this {
    const [dx, dy] = [x2 - x1, y2 - y1]
    const length = dx * dx + dy * dy
    const near = (px: number, py: number) => {
      const share = Math.min(1, Math.max(0, ((px - x1) * dx + (py - y1) * dy) / length))
      return Math.hypot(px - x1 - share * dx, py - y1 - share * dy) <= thick / 2
    }
    this.paint(near, colour, [
      Math.min(x1, x2) - thick,
      Math.min(y1, y2) - thick,
      Math.max(x1, x2) + thick,
      Math.max(y1, y2) + thick,
    ])
    return this
  }

  /** Letters whose dots are squares of `dot` pixels. */
  text(x: number, y: number, words: string, dot: number, colour: Colour): this {
    ;[...words].forEach((letter, place) => {
      const left = x + place * (glyphSize.width + 1) * dot
      glyphRows(letter).forEach((row, down) => {
        for (let across = 0; across < glyphSize.width; across++)
          if (row & (1 << (glyphSize.width - 1 - across)))
            this.rect(left + across * dot, y + down * dot, dot, dot, colour)
      })
    })
    return this
  }

  /** Light of a lamp from one side, and the grain of a cheap camera, coarse so that the file stays small. */
  lit(random: Random, from: { x: number; y: number }): this {
    const reach = Math.hypot(this.width, this.height)
    const grain = 4
    for (let y = 0; y < this.height; y += grain)
      for (let x = 0; x < this.width; x += grain) {
        const light = 1.06 - 0.38 * (Math.hypot(x - from.x, y - from.y) / reach)
        const factor = Math.round(24 * (light + 0.02 * random.signed())) / 24
        for (let py = y; py < Math.min(this.height, y + grain); py++)
          for (let px = x; px < Math.min(this.width, x + grain); px++) {
            const at = 4 * (py * this.width + px)
            for (let channel = at; channel < at + 3; channel++)
              this.data[channel] = (this.data[channel] ?? 0) * factor
          }
      }
    return this
  }

  png(): Uint8Array {
    const png = new PNG({ width: this.width, height: this.height })
    png.data = Buffer.from(this.data)
    return new Uint8Array(PNG.sync.write(png, { colorType: 2 }))
  }
}
