import { decides } from '../figures'
import { combine, exact, expanded, scale, subtract, sumOf, type Uncertain } from '../meters'
import type { Compared } from './compared'
import { criteria, type Criterion, type Hours } from './criteria'

/** What each criterion counts, 0 and up, by its key. */
export type Weights = Readonly<Record<string, number>>

interface Ranked {
  readonly one: Compared
  /** From 0, worst of these in everything that counts, to 1. */
  readonly score: Uncertain
  /** Counted from 1; those that are not told apart share one. */
  readonly place: number
}

export interface Ranking {
  readonly places: readonly Ranked[]
  /** What counted, in words, and how much. */
  readonly counted: readonly { readonly words: string; readonly weight: number }[]
  /** What was weighted but is not known of all, in words: it could not count. */
  readonly left: readonly string[]
}

/**
 * Units by the tester’s own weights: each criterion from 0 (the worst of these) to 1 (far the best), weighted and summed,
 * with the covariance of the meters. A unit shares the place of the one above it unless its score is lower by more than
 * the expanded uncertainty of their difference (docs/method/comparisons.md). With no weight above 0, or none that all have
 * a figure for, the reason.
 */
export function rank(
  list: readonly Compared[],
  hours: Hours,
  weights: Weights,
  common: (of: Compared, x: Uncertain) => Uncertain,
): Ranking | { readonly missing: string } {
  const weighted = criteria.filter(({ key, better }) => better && (weights[key] ?? 0) > 0)
  if (!weighted.length) return { missing: 'Give at least one criterion a weight above 0.' }
  const known = weighted.flatMap((criterion) => {
    const xs = list.flatMap((one) => {
      const figure = criterion.of(one, hours, list)
      return decides(figure) ? [common(one, figure.x)] : []
    })
    return xs.length === list.length ? [{ criterion, xs }] : []
  })
  const left = weighted
    .filter((criterion) => !known.some((one) => one.criterion === criterion))
    .map(({ words }) => words)
  if (!known.length)
    return { missing: `Nothing that is weighted is known of all of them: ${left.join(', ')}.` }
  const total = known.reduce((sum, { criterion }) => sum + (weights[criterion.key] ?? 0), 0)
  const scored = list.map((one, i) => ({
    one,
    score: sumOf(
      known.map(({ criterion, xs }) =>
        scale(share(xs, i, criterion.better), (weights[criterion.key] ?? 0) / total),
      ),
    ),
  }))
  scored.sort((a, b) => b.score.value - a.score.value)
  const places: Ranked[] = []
  scored.forEach(({ one, score }, i) => {
    const above = places.at(-1)
    const head = places.find(({ place }) => place === above?.place)
    const apart = head && subtract(head.score, score)
    const place = head && apart && apart.value <= expanded(apart) ? head.place : i + 1
    places.push({ one, score, place })
  })
  return {
    places,
    counted: known.map(({ criterion: { words, key } }) => ({ words, weight: weights[key] ?? 0 })),
    left,
  }
}

/**
 * Where one of several stands above the worst of them, in shares of how far they lie apart, or of how far they can be
 * told apart where that is more: what nobody can tell counts no more than a full step. The scale is a plain number, so
 * that two units’ shares differ by what their figures differ, with all that is uncertain in it.
 */
function share(xs: readonly Uncertain[], i: number, better: Criterion['better']): Uncertain {
  const sign = better === 'more' ? 1 : -1
  const x = xs[i] ?? exact(0)
  const worst = Math.min(...xs.map(({ value }) => sign * value))
  const range = Math.max(...xs.map(({ value }) => sign * value)) - worst
  const told = Math.max(...xs.flatMap((a, k) => xs.slice(k + 1).map((b) => expanded(subtract(a, b)))))
  const step = Math.max(range, told)
  return step > 0 ? combine((sign * x.value - worst) / step, [[x, sign / step]]) : exact(1)
}
