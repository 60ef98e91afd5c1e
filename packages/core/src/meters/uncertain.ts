import { isOwn } from './sources'

/**
 * A value as a linear form over independent sources of error, each of unit variance (JCGM 100, docs/method/meters.md).
 * `sources` maps the name of a source to ∂x/∂source, in the unit of x; the square sum of its entries is u².
 * Two values that name the same source are correlated through it, so nothing else is needed to keep the
 * covariance through sums, quotients and the difference of two units on the same meters.
 */
export interface Uncertain {
  readonly value: number
  readonly sources: ReadonlyMap<string, number>
}

const none: ReadonlyMap<string, number> = new Map()

/** A number without uncertainty, such as a nominal voltage. */
export const exact = (value: number): Uncertain => ({ value, sources: none })

/** A value with one source of its own. `u` is a standard uncertainty, ≥ 0. */
export const uncertain = (value: number, source: string, u: number): Uncertain => ({
  value,
  sources: new Map([[source, u]]),
})

/**
 * First-order propagation: the value is given, each part comes with its derivative ∂value/∂part.
 * Parts may share sources.
 */
export function combine(value: number, parts: readonly (readonly [Uncertain, number])[]): Uncertain {
  const sources = new Map<string, number>()
  for (const [part, derivative] of parts) {
    for (const [source, sensitivity] of part.sources) {
      sources.set(source, (sources.get(source) ?? 0) + derivative * sensitivity)
    }
  }
  return { value, sources }
}

export const add = (x: Uncertain, y: Uncertain): Uncertain =>
  combine(x.value + y.value, [
    [x, 1],
    [y, 1],
  ])
/** The sum of any number of values; of none, exactly 0. */
export const sumOf = (values: readonly Uncertain[]): Uncertain =>
  combine(
    values.reduce((sum, { value }) => sum + value, 0),
    values.map((value) => [value, 1]),
  )

export const subtract = (x: Uncertain, y: Uncertain): Uncertain =>
  combine(x.value - y.value, [
    [x, 1],
    [y, -1],
  ])
export const scale = (x: Uncertain, factor: number): Uncertain => combine(x.value * factor, [[x, factor]])
export const multiply = (x: Uncertain, y: Uncertain): Uncertain =>
  combine(x.value * y.value, [
    [x, y.value],
    [y, x.value],
  ])

/** x / y; y must not be 0, else the result is not finite and the caller leaves the figure out. */
export const divide = (x: Uncertain, y: Uncertain): Uncertain =>
  combine(x.value / y.value, [
    [x, 1 / y.value],
    [y, -x.value / y.value ** 2],
  ])

/** Standard uncertainty, ≥ 0, in the unit of x. */
export function standard(x: Uncertain): number {
  let sum = 0
  for (const sensitivity of x.sources.values()) sum += sensitivity ** 2
  return Math.sqrt(sum)
}

/** Standard uncertainty by the sources of single readings only: what bends a curve, and what a difference keeps. */
export function independent(x: Uncertain): number {
  let sum = 0
  for (const [source, sensitivity] of x.sources) if (isOwn(source)) sum += sensitivity ** 2
  return Math.sqrt(sum)
}

/**
 * Whether a value is over 0 beyond doubt: by three standard uncertainties, for what is looked for at every step of every
 * ladder would else be found on sound benches too.
 */
export const clearlyOver = (x: Uncertain): boolean => x.value > 3 * standard(x)

/** Covariance of two values through the sources they share. */
export function covariance(x: Uncertain, y: Uncertain): number {
  const [few, many] = x.sources.size <= y.sources.size ? [x, y] : [y, x]
  let sum = 0
  for (const [source, sensitivity] of few.sources) sum += sensitivity * (many.sources.get(source) ?? 0)
  return sum
}

/** The sources of x, the largest first, with their share of u². */
export function budget(x: Uncertain): { source: string; u: number; share: number }[] {
  const total = standard(x) ** 2
  return [...x.sources]
    .map(([source, sensitivity]) => ({
      source,
      u: Math.abs(sensitivity),
      share: total ? sensitivity ** 2 / total : 0,
    }))
    .sort((a, b) => b.share - a.share)
}
