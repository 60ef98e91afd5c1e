/** How many lamps or bars were lit, and what was read meanwhile: watts at the outlet, or Wh drawn so far. */
export interface Lit {
  readonly bars: number
  readonly x: number
}

/** Where one bar lights: somewhere between the highest reading without it and the lowest with it. */
interface BarLights {
  readonly bar: number
  readonly from: number
  readonly to: number
}

export interface Bars {
  readonly lights: readonly BarLights[]
  /** What one bar is worth, by a straight line through where they light; undefined for fewer than two. */
  readonly each: number | undefined
  /** The bar that stands farthest off that line, and by how much, where that is more than its place is unsure. */
  readonly crooked: { readonly bar: number; readonly by: number } | undefined
  /** The same reading lit different numbers of bars: the display lags or flickers. */
  readonly unsteady: boolean
}

/** Which bar should light, and the shares of the whole between which it should. */
export interface ShouldLight {
  readonly bars: number
  readonly from: number
  readonly to: number
}

/** Of a display whose bars are alike, the highest that should light at a share of the whole; of nothing none (docs/method/evidence.md). */
export function shouldLight(share: number, inAll: number): ShouldLight {
  const bars = Math.min(inAll, Math.max(0, Math.ceil(share * inAll - 1e-9)))
  return { bars, from: Math.max(0, bars - 1) / inAll, to: bars / inAll }
}

const middle = ({ from, to }: BarLights): number => (from + to) / 2

/**
 * What a coarse display is worth (docs/method/evidence.md). A bar of which nothing below was read has no place; more bars
 * stand for a larger x (charge: give it energy drawn with its sign turned). Undefined where no bar has a place.
 */
export function barsOf(lit: readonly Lit[]): Bars | undefined {
  const counts = [...new Set(lit.map(({ bars }) => bars))].sort((a, b) => a - b)
  const places = counts.flatMap((bar): { bar: number; without: number; with: number }[] => {
    const below = lit.filter(({ bars }) => bars < bar).map(({ x }) => x)
    const above = lit.filter(({ bars }) => bars >= bar).map(({ x }) => x)
    if (!below.length || !above.length) return []
    return [{ bar, without: Math.max(...below), with: Math.min(...above) }]
  })
  if (!places.length) return undefined
  const lights = places.map((place): BarLights => ({
    bar: place.bar,
    from: Math.min(place.without, place.with),
    to: Math.max(place.without, place.with),
  }))
  const unsteady = places.some((place) => place.without >= place.with)
  const line = lineThrough(lights)
  return { lights, each: line?.slope, crooked: line && farthest(lights, line), unsteady }
}

interface Line {
  readonly slope: number
  readonly at: (bar: number) => number
}

/** Least squares through where the bars light. */
function lineThrough(lights: readonly BarLights[]): Line | undefined {
  if (lights.length < 2) return undefined
  const n = lights.length
  const meanBar = lights.reduce((sum, { bar }) => sum + bar, 0) / n
  const meanX = lights.reduce((sum, one) => sum + middle(one), 0) / n
  const spread = lights.reduce((sum, { bar }) => sum + (bar - meanBar) ** 2, 0)
  const slope = lights.reduce((sum, one) => sum + (one.bar - meanBar) * (middle(one) - meanX), 0) / spread
  return { slope, at: (bar) => meanX + slope * (bar - meanBar) }
}

function farthest(lights: readonly BarLights[], line: Line): Bars['crooked'] {
  const off = lights
    .map(({ bar, from, to }) => ({
      bar,
      by: middle({ bar, from, to }) - line.at(bar),
      unsure: (to - from) / 2,
    }))
    .filter(({ by, unsure }) => Math.abs(by) > unsure)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))[0]
  return off && { bar: off.bar, by: off.by }
}
