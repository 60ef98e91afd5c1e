import { coverageOf } from '../meters'
import type { Point } from './integrate'

/** A body warming towards an end: T = T∞ − (T∞ − T0)·e^(−t/τ) (docs/method/endurance.md). Temperatures in °C or K, times in s. */
export interface ThermalFit {
  readonly settles: number
  readonly began: number
  readonly tau: number
  /** Within which it settles, at 95 %; undefined where the readings set no bound to that side. */
  readonly low: number | undefined
  readonly high: number | undefined
  /** Standard deviation of single readings about the curve. */
  readonly scatter: number
  /** Times τ that were watched: under 1.5 the end is a range, not a figure. */
  readonly watched: number
}

/** Fewer readings tell no curve. */
const fewest = 5
/** Under so many τ of readings the end is a range. */
export const tellsEnd = 1.5
const shortest = 1 / 200
const longest = 60

interface Linear {
  readonly settles: number
  readonly began: number
  readonly squares: number
}

/** Least squares of T∞ and T0 where τ is known: both stand linear then. */
function atTau(points: readonly Point[], tau: number): Linear {
  let [n, se, see, sy, sey] = [0, 0, 0, 0, 0]
  for (const { at, value } of points) {
    const e = Math.exp(-at / tau)
    n += 1
    se += e
    see += e * e
    sy += value
    sey += e * value
  }
  const d = n * see - se * se
  const slope = d > 0 ? (n * sey - se * sy) / d : 0
  const settles = (sy - slope * se) / n
  let squares = 0
  for (const { at, value } of points) squares += (value - settles - slope * Math.exp(-at / tau)) ** 2
  return { settles, began: settles + slope, squares }
}

/** Least squares of τ and T0 where T∞ is held: what the readings say against that end. */
function atEnd(points: readonly Point[], settles: number, around: number): number {
  const decays = new Float64Array(points.length)
  const squares = (logTau: number) => {
    const tau = Math.exp(logTau)
    let [ee, er] = [0, 0]
    points.forEach(({ at, value }, i) => {
      const e = Math.exp(-at / tau)
      decays[i] = e
      ee += e * e
      er += e * (value - settles)
    })
    const a = ee > 0 ? er / ee : 0
    let sum = 0
    points.forEach(({ value }, i) => {
      sum += (value - settles - a * (decays[i] as number)) ** 2
    })
    return sum
  }
  const middle = Math.log(around)
  return squares(least(squares, middle - 3, middle + 4, roughly))
}

/** ln τ to which the valley of a profile is sought: it is flat, so that its depth is known to the square of this. */
const roughly = 1e-5
/** Share of a range to which its end is sought. */
const endWithin = 1e-6

const golden = (Math.sqrt(5) - 1) / 2

/** Where a function with one valley between two places is lowest. */
function least(of: (x: number) => number, from: number, to: number, within = 1e-11): number {
  let [a, b] = [from, to]
  let [c, d] = [b - golden * (b - a), a + golden * (b - a)]
  let [fc, fd] = [of(c), of(d)]
  for (let i = 0; i < 70 && b - a > within; i++) {
    if (fc < fd) {
      b = d
      d = c
      fd = fc
      c = b - golden * (b - a)
      fc = of(c)
    } else {
      a = c
      c = d
      fc = fd
      d = a + golden * (b - a)
      fd = of(d)
    }
  }
  return (a + b) / 2
}

/**
 * Where a temperature would settle, by least squares over readings in order of time; ambient is to be subtracted from each
 * before. Undefined for fewer than five readings, or where they do not bend: then nothing tells an end. The range of T∞ is
 * that of its profile likelihood, which is wider to the far side when little was watched. What the thermometer itself is
 * off by is not in it.
 */
export function fitThermal(readings: readonly Point[]): ThermalFit | undefined {
  const [first] = readings
  if (!first || readings.length < fewest) return undefined
  const points = readings.map(({ at, value }) => ({ at: at - first.at, value }))
  const span = points.at(-1)?.at ?? 0
  if (!(span > 0)) return undefined
  const [from, to] = [Math.log(span * shortest), Math.log(span * longest)]
  const squares = (logTau: number) => atTau(points, Math.exp(logTau)).squares
  const steps = 60
  let [best, at] = [Infinity, 0]
  for (let i = 0; i <= steps; i++) {
    const found = squares(from + ((to - from) * i) / steps)
    if (found < best) [best, at] = [found, i]
  }
  // At the far end the readings are a straight line: nothing tells where it ends.
  if (at >= steps - 1) return undefined
  const width = (to - from) / steps
  const logTau = least(squares, from + width * (at - 1), from + width * (at + 1))
  const tau = refined(points, Math.exp(logTau))
  const { settles, began, squares: left } = atTau(points, tau)
  const freedom = points.length - 3
  const variance = left / freedom
  const limit = left + coverageOf(freedom) ** 2 * variance
  const away = Math.max(Math.abs(settles - began), Math.sqrt(variance), 1e-9)
  const side = (sign: 1 | -1) => profileEnd(points, settles, tau, limit, sign * away)
  return {
    settles,
    began,
    tau,
    low: side(-1),
    high: side(1),
    scatter: Math.sqrt(variance),
    watched: span / tau,
  }
}

/** Newton's steps on the slope of the squares over ln τ: the valley is flat, and its lowest place is sought by its slope. */
function refined(points: readonly Point[], found: number): number {
  const slope = (logTau: number) => {
    const tau = Math.exp(logTau)
    const { settles, began } = atTau(points, tau)
    let sum = 0
    for (const { at, value } of points) {
      const e = Math.exp(-at / tau)
      sum += (value - settles - (began - settles) * e) * (began - settles) * e * (at / tau)
    }
    return -2 * sum
  }
  let x = Math.log(found)
  const h = 1e-4
  for (let i = 0; i < 20; i++) {
    const bend = (slope(x + h) - slope(x - h)) / (2 * h)
    if (!(bend > 0)) break
    const step = slope(x) / bend
    if (!(Math.abs(step) < 0.3)) break
    x -= step
    if (Math.abs(step) < 1e-13) break
  }
  return Math.exp(x)
}

/** The end to one side at which the readings speak against it; undefined: they never do. */
function profileEnd(
  points: readonly Point[],
  settles: number,
  tau: number,
  limit: number,
  away: number,
): number | undefined {
  let [inside, outside] = [0, 0.02]
  for (; atEnd(points, settles + outside * away, tau * (1 + Math.max(0, outside))) < limit; outside *= 1.6) {
    inside = outside
    if (outside > 50) return undefined
  }
  for (let i = 0; i < 40 && outside - inside > endWithin * outside; i++) {
    const middle = (inside + outside) / 2
    if (atEnd(points, settles + middle * away, tau * (1 + Math.max(0, middle))) < limit) inside = middle
    else outside = middle
  }
  return settles + outside * away
}

/** The temperature of a fit at a time, s. */
export const temperatureAt = (
  { settles, began, tau }: Pick<ThermalFit, 'settles' | 'began' | 'tau'>,
  t: number,
) => settles - (settles - began) * Math.exp(-t / tau)

/** A temperature that rises less than this in a quarter of an hour is settled (school: 1 K). */
const settledRise = 1
const quarter = 900

/** s after which it rises by less than 1 K in 15 min: the slope |T∞ − T0|/τ·e^(−t/τ) falls below it. 0 where it always is. */
export const settledAfter = ({
  settles,
  began,
  tau,
}: Pick<ThermalFit, 'settles' | 'began' | 'tau'>): number =>
  Math.max(0, tau * Math.log((Math.abs(settles - began) * quarter) / (tau * settledRise)))
