import { seeded } from '../random'
import { Canvas, type Colour } from './canvas'

const bench: Colour = [176, 164, 142]
const metal: Colour = [150, 152, 156]
const metalDark: Colour = [92, 94, 99]
const paper: Colour = [232, 228, 214]
const ink: Colour = [38, 40, 46]
const copper: Colour = [178, 108, 58]
const board: Colour = [72, 92, 84]
const black: Colour = [34, 35, 38]
const lamp = { x: 180, y: 60 }

/** A label on the side of a case; every line is printed as it is given. */
export function labelPicture(title: string, lines: readonly string[], seed: number): Uint8Array {
  const canvas = new Canvas(960, 640, metalDark)
  canvas.rect(60, 40, 840, 560, metal).rect(110, 80, 740, 480, paper)
  canvas.rect(110, 80, 740, 92, ink).text(140, 104, title, 6, paper)
  lines.forEach((line, i) => canvas.text(140, 204 + i * 56, line, 4, ink))
  for (const [x, y] of [
    [84, 62],
    [876, 62],
    [84, 578],
    [876, 578],
  ] as const)
    canvas.disc(x, y, 12, metalDark).line(x - 8, y - 5, x + 8, y + 5, 4, metal)
  return canvas.lit(seeded(seed), lamp).png()
}

/** The inside of a unit: board, transformer, capacitors, heat sink, fan. What grew between revisions is its heat sink. */
export function insidePicture(
  { fins, fan }: { fins: number; fan: 'small' | 'large' },
  seed: number,
): Uint8Array {
  const canvas = new Canvas(960, 640, metalDark)
  canvas.rect(40, 40, 880, 560, board)
  // Traces from the terminals.
  for (const y of [150, 470])
    canvas.line(40, y, 300, y, 34, copper).disc(84, y, 30, metal).disc(84, y, 13, metalDark)
  for (let i = 0; i < 4; i++)
    canvas.rect(250, 120 + i * 105, 60, 60, black).rect(258, 128 + i * 105, 44, 6, metal)
  // Transformer between the two sides.
  canvas.rect(360, 210, 170, 220, black).rect(384, 240, 122, 160, copper)
  for (let i = 0; i < 8; i++) canvas.line(384, 252 + i * 20, 506, 252 + i * 20, 3, ink)
  for (const [x, y, r] of [
    [600, 200, 52],
    [600, 330, 52],
    [600, 460, 52],
  ] as const)
    canvas
      .disc(x, y, r, black)
      .disc(x, y, r - 7, metal)
      .line(x - 30, y, x + 30, y, 4, metalDark)
  canvas.rect(684, 90, 24 + fins * 14, 460, metalDark)
  for (let i = 0; i < fins; i++) canvas.rect(696 + i * 14, 90, 7, 460, metal)
  const radius = fan === 'large' ? 74 : 50
  canvas.disc(166, 310, radius, black)
  for (let blade = 0; blade < 7; blade++) {
    const angle = (blade * 2 * Math.PI) / 7
    canvas.line(
      166,
      310,
      166 + (radius - 10) * Math.cos(angle),
      310 + (radius - 10) * Math.sin(angle),
      14,
      metalDark,
    )
  }
  canvas.disc(166, 310, 18, metal)
  return canvas.lit(seeded(seed), lamp).png()
}

/** A cable lug on a post: with a joint that was hot, its barrel is dark and its sleeve has shrunk. */
export function lugPicture({ hot }: { hot: boolean }, seed: number): Uint8Array {
  const canvas = new Canvas(960, 640, bench)
  canvas.rect(0, 430, 960, 210, metalDark)
  canvas.line(250, 320, 520, 320, 104, metal).disc(250, 320, 120, metal)
  canvas.disc(250, 320, 66, metalDark).disc(250, 320, 52, metal)
  canvas.line(450, 320, 600, 320, 120, hot ? [104, 74, 58] : copper)
  if (hot) canvas.line(470, 320, 560, 320, 84, [66, 52, 48]).disc(330, 300, 26, [112, 84, 66])
  canvas.line(hot ? 660 : 610, 320, 980, 320, 150, black)
  if (hot) for (let i = 0; i < 6; i++) canvas.line(600, 270 + i * 20, 668, 270 + i * 20, 12, copper)
  return canvas.lit(seeded(seed), lamp).png()
}

/** What stands in the box, laid out on the bench. */
export function boxPicture(seed: number): Uint8Array {
  const canvas = new Canvas(960, 640, bench)
  canvas.rect(80, 90, 360, 240, metalDark).rect(100, 110, 320, 200, metal).text(150, 190, 'OTTREL', 7, ink)
  for (const [y, colour] of [
    [400, [150, 44, 40]],
    [470, black],
  ] as const)
    canvas.line(90, y, 520, y, 26, colour).disc(80, y, 24, copper).disc(536, y, 24, copper)
  canvas.rect(600, 120, 150, 90, black).disc(640, 165, 22, metal).text(676, 155, 'ON', 4, paper)
  canvas.line(600, 165, 560, 260, 8, ink).rect(600, 300, 260, 200, paper)
  canvas.text(626, 330, 'MANUAL', 5, ink)
  for (let i = 0; i < 4; i++) canvas.rect(626, 390 + i * 24, 200 - i * 30, 6, metal)
  return canvas.lit(seeded(seed), lamp).png()
}
