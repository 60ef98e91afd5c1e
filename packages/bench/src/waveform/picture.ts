import { straighten, type Corners } from '@even-watt/core/waveform/index'
import type { Wave } from './outlet'

/** Pixels of a picture: red, green, blue and opacity of each in turn. */
export interface Pixels {
  readonly data: Uint8ClampedArray
  readonly width: number
  readonly height: number
}

const paper = [206, 206, 200] as const
const frame = [120, 122, 124] as const
const lines = [168, 168, 162] as const
/** Colour of the trace. */
export const trace = [38, 84, 124] as const

/**
 * A scope's screen in plain grey, seen at a slant, with the trace of a wave in it: made up, with no maker's look. `cycles` fill
 * its width, ± `most` its height; ten by eight divisions.
 */
export function screenPicture(
  wave: Wave,
  { cycles, most, grid }: { cycles: number; most: number; grid: Corners },
): Pixels {
  const [width, height] = [720, 520]
  const data = new Uint8ClampedArray(4 * width * height)
  const put = (x: number, y: number, [r, g, b]: readonly [number, number, number]) => {
    const [column, row] = [Math.round(x), Math.round(y)]
    if (column < 0 || row < 0 || column >= width || row >= height) return
    data.set([r, g, b, 255], 4 * (row * width + column))
  }
  for (let i = 0; i < data.length; i += 4) data.set([...frame, 255], i)
  const at = straighten(grid)
  const fill = (
    from: number,
    to: number,
    points: number,
    row: (u: number) => readonly (readonly [number, readonly [number, number, number]])[],
  ) => {
    for (let i = 0; i <= points; i++) {
      const u = from + ((to - from) * i) / points
      for (const [v, colour] of row(u)) {
        const { x, y } = at(u, v)
        put(x, y, colour)
      }
    }
  }
  // Finer than the pixels that the grid covers, so that none is left out.
  const down = Array.from({ length: 700 }, (_, i) => i / 699)
  fill(0, 1, 900, () => down.map((v) => [v, paper] as const))
  for (let line = 0; line <= 10; line++)
    fill(line / 10, line / 10, 1, () => down.map((v) => [v, lines] as const))
  fill(0, 1, 2000, () => Array.from({ length: 9 }, (_, i) => [i / 8, lines] as const))
  const placeOf = (u: number) => 0.5 - wave(u * cycles) / (2 * most)
  fill(0, 1, 6000, (u) => {
    const [v, before] = [placeOf(u), placeOf(Math.max(0, u - 1 / 6000))]
    // An edge is drawn through all that it passes.
    const from = Math.min(v, before) - 0.004
    const to = Math.max(v, before) + 0.004
    const steps = Math.max(2, Math.ceil((to - from) * 900))
    return Array.from({ length: steps }, (_, i) => [from + ((to - from) * i) / (steps - 1), trace] as const)
  })
  return { data, width, height }
}
