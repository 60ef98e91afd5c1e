import { exact, expanded, scale, subtract, sumOf } from '../meters'
import { derive, isFigure, type Derived, type Figure } from './figure'
import { furthest } from './furthest'

/** Several figures of one kind, in the order in which they were read. */
export interface Series {
  readonly number: number
  readonly lowest: Figure
  readonly highest: Figure
  readonly mean: Derived
  /** The highest less the lowest. */
  readonly spread: Derived
  /** From the first to the last: beyond what they are unsure by against each other, or always the same way; else noise. */
  readonly goes: 'up' | 'down' | 'nowhere'
}

/**
 * What several figures come to together: number, lowest, highest, mean, spread, and whether the last stands off the first by more
 * than the expanded uncertainty of their difference, what they share taken out, or all went one way (docs/method/catalogue.md). Those that are missing
 * are left out; undefined for fewer than two.
 */
export function seriesOf(all: readonly Derived[]): Series | undefined {
  const figures = all.filter(isFigure)
  const [first] = figures
  const last = figures.at(-1)
  const [lowest, highest] = [furthest('lowest', figures, ''), furthest('highest', figures, '')]
  if (!first || !last || first === last || !isFigure(lowest) || !isFigure(highest)) return undefined
  const { symbol, unit } = first
  const n = figures.length
  const moved = subtract(last.x, first.x)
  return {
    number: n,
    lowest,
    highest,
    mean: derive(
      `mean of ${symbol}`,
      unit,
      `mean of ${n}`,
      figures,
      scale(sumOf(figures.map(({ x }) => x)), 1 / n),
    ),
    spread: derive(
      `spread of ${symbol}`,
      unit,
      'highest − lowest',
      [lowest, highest],
      lowest === highest ? exact(0) : subtract(highest.x, lowest.x),
    ),
    goes:
      Math.abs(moved.value) <= expanded(moved) && !alwaysOneWay(figures.map(({ x }) => x.value))
        ? 'nowhere'
        : moved.value > 0
          ? 'up'
          : 'down',
  }
}

/** By chance so many in a row go one way in less than one of fifty cases: 2/n!. */
const fewestInARow = 5

const alwaysOneWay = (values: readonly number[]): boolean =>
  values.length >= fewestInARow &&
  [1, -1].some((sign) => values.slice(1).every((x, i) => sign * (x - (values[i] as number)) > 0))
