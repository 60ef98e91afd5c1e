import { coordinate } from '../ui/coordinate'
/** The paper a wave is drawn on, in units of its own. */
export const paper = { width: 640, height: 300, left: 52, right: 12, top: 12, bottom: 30 } as const

const innerWidth = paper.width - paper.left - paper.right
const innerHeight = paper.height - paper.top - paper.bottom

export interface Scale {
  readonly x: (share: number) => number
  readonly y: (value: number) => number
  readonly ticks: readonly number[]
}

/** A step of 1, 2 or 5 times a power of ten that parts `span` into about `parts`. */
export function tickStep(span: number, parts: number): number {
  const rough = span / parts
  const power = 10 ** Math.floor(Math.log10(rough))
  return ([1, 2, 5, 10].find((one) => one * power >= rough) ?? 10) * power
}

/** From the lowest to the highest value shown, zero within, with room above and below. */
export function scaleFor(low: number, high: number): Scale {
  const [from, to] = [Math.min(0, low), Math.max(0, high)]
  const room = 0.06 * (to - from || 1)
  const [bottom, top] = [from - (from < 0 ? room : 0), to + (to > 0 ? room : 1)]
  const step = tickStep(top - bottom, 6)
  const first = Math.ceil(bottom / step)
  return {
    x: (share) => paper.left + share * innerWidth,
    y: (value) => paper.top + ((top - value) / (top - bottom)) * innerHeight,
    ticks: Array.from({ length: Math.floor(top / step) - first + 1 }, (_, i) => (first + i) * step),
  }
}

/** A line through values that lie evenly over the paper's width, closed at its end by the first. */
export const lineOf = (values: ArrayLike<number>, { x, y }: Scale): string =>
  Array.from({ length: values.length + 1 }, (_, i) => {
    const value = values[i % values.length] as number
    return `${i ? 'L' : 'M'}${coordinate(x(i / values.length))} ${coordinate(y(value))}`
  }).join('')

/** What lies between two such lines. */
export const bandOf = (above: ArrayLike<number>, below: ArrayLike<number>, scale: Scale): string => {
  const back = Array.from({ length: below.length + 1 }, (_, i) => {
    const at = below.length - i
    return `L${coordinate(scale.x(at / below.length))} ${coordinate(scale.y(below[at % below.length] as number))}`
  }).join('')
  return `${lineOf(above, scale)}${back}Z`
}

/** The sine of an RMS, as many points as asked for, from its rising zero. */
export const sineOf = (rms: number, points: number, about = 0): number[] =>
  Array.from(
    { length: points },
    (_, i) => about + Math.SQRT2 * rms * Math.sin((2 * Math.PI * (i + 0.5)) / points),
  )
