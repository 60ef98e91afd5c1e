import type { Sampled } from '../samples'
import { faultOfCorners, straighten, type Corners, type Point } from './straighten'

/** Pixels of a picture, red, green, blue and opacity of each in turn. */
export interface Picture {
  readonly data: Uint8ClampedArray
  readonly width: number
  readonly height: number
}

/** What a tester marks in the picture of a screen. */
export interface Marks {
  readonly corners: Corners
  /** Of the trace: red, green, blue. */
  readonly colour: readonly [number, number, number]
  /** What the grid spans from left to right, s, and from bottom to top, V; and what its middle stands for. */
  readonly seconds: number
  readonly volts: number
  readonly middle: number
}

export interface Lifted {
  readonly sampled: Sampled
  /** Of the trace in the picture, to be drawn over it. */
  readonly trace: readonly Point[]
  /** Half the thickness of the trace, V. */
  readonly half: number
}

/** Columns looked at over the grid's width, and places down each of them. */
const columns = 800
const places = 600
/** Distance of colours, of 441, within which a pixel belongs to the trace. */
const alike = 110
/** Share of the columns in which the trace must be found. */
const fewest = 0.7
/** Share of the grid’s height that a trace may be thick. */
const thickest = 0.15

/** How far a pixel’s colour is from the trace’s; infinite outside of the picture. */
function distance(picture: Picture, at: Point, [r, g, b]: Marks['colour']): number {
  const x = Math.round(at.x)
  const y = Math.round(at.y)
  if (x < 0 || y < 0 || x >= picture.width || y >= picture.height) return Infinity
  const i = 4 * (y * picture.width + x)
  const { data } = picture
  return Math.hypot((data[i] as number) - r, (data[i + 1] as number) - g, (data[i + 2] as number) - b)
}

/**
 * Lifts a trace from the picture of a screen (docs/method/waveform.md): the grid is straightened by its corners; in each
 * column the trace stands in the middle of the pixels of its colour. Columns without any lie between their neighbours. Gives
 * a sentence where corners or colour do not serve.
 */
export function liftTrace(picture: Picture, marks: Marks): Lifted | { readonly fault: string } {
  const fault = faultOfCorners(marks.corners)
  if (fault) return { fault }
  const onGrid = straighten(marks.corners)
  const middles: (number | undefined)[] = []
  const thick: number[] = []
  for (let i = 0; i < columns; i++) {
    const u = (i + 0.5) / columns
    let [weight, sum, low, high] = [0, 0, Infinity, -Infinity]
    for (let k = 0; k < places; k++) {
      const v = (k + 0.5) / places
      const off = distance(picture, onGrid(u, v), marks.colour)
      if (off > alike) continue
      const w = 1 - off / alike
      weight += w
      sum += w * v
      low = Math.min(low, v)
      high = Math.max(high, v)
    }
    middles.push(weight > 0 ? sum / weight : undefined)
    if (weight > 0) thick.push(high - low + 1 / places)
  }
  const found = middles.filter((middle) => middle !== undefined).length
  if (found < fewest * columns)
    return {
      fault: `The trace’s colour is found in ${Math.round((100 * found) / columns)} % of the grid’s width: point at the trace itself, in the middle of its line.`,
    }
  thick.sort((a, b) => a - b)
  const thickness = thick[Math.floor(thick.length / 2)] ?? 0
  if (thickness > thickest)
    return {
      fault: 'What has this colour fills the grid: point at the trace itself, in the middle of its line.',
    }
  const v = filled(middles)
  const volts = Float64Array.from(v, (place) => marks.middle + (0.5 - place) * marks.volts)
  return {
    sampled: {
      dt: marks.seconds / columns,
      times: undefined,
      channels: [{ quantity: 'V_C', x: volts }],
    },
    trace: v.map((place, i) => onGrid((i + 0.5) / columns, place)),
    half: (thickness * marks.volts) / 2,
  }
}

function filled(values: readonly (number | undefined)[]): number[] {
  const known = values.flatMap((value, i) => (value === undefined ? [] : [[i, value] as const]))
  return values.map((value, i) => {
    if (value !== undefined) return value
    const before = known.findLast(([k]) => k < i) ?? known[0]
    const after = known.find(([k]) => k > i) ?? known.at(-1)
    if (!before || !after || before[0] === after[0]) return before?.[1] ?? 0
    return before[1] + ((after[1] - before[1]) * (i - before[0])) / (after[0] - before[0])
  })
}
