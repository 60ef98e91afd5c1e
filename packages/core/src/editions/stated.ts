import type { Stated } from '@even-watt/contract'
import { answerOf } from '../answer'
import { sayStanding, type Comparison } from '../comparisons'
import { isFigure, sayFigure, withPoint } from '../figures'
import type { TrialView } from '../view'
import { sayClaim } from '../units'

/** What a trial’s report states, promise by promise, and of the bench: what a reader would hold it to. */
export function statedOfTrial({ findings, analyses }: TrialView, said: readonly string[] = []): Stated[] {
  const { claims, bench } = answerOf(findings, analyses)
  return once([
    { about: 'the answer', says: claims },
    // The tester’s own words, where there are any.
    ...said.map((says, i) => ({ about: `the tester’s words, ${i + 1}`, says })),
    ...bench.map((says, i) => ({ about: `the bench, ${i + 1}`, says })),
    ...findings.map(({ claim, standing }) => ({
      about: `${claim.quantity} (${sayClaim(claim)})`,
      says: `${standing.outcome}: ${standing.sentence}`,
    })),
  ])
}

/** What a comparison states: each figure, each promise, and where one curve is told from another. */
export function statedOfComparison({ list, rows, claims, curves }: Comparison): Stated[] {
  return once([
    ...rows.flatMap(({ criterion, cells }) =>
      cells.map(({ figure, against }, i) => ({
        about: `${criterion.words}, ${list[i]?.name ?? ''}`,
        says: isFigure(figure)
          ? `${sayFigure(figure)}${against ? `, ${sayStanding(against.is)}` : ''}`
          : figure.missing,
      })),
    ),
    ...claims.flatMap(({ words, cells }) =>
      cells.flatMap((cell, i) =>
        cell ? [{ about: `${words} (${cell.promised}), ${list[i]?.name ?? ''}`, says: cell.outcome }] : [],
      ),
    ),
    ...curves.map(({ one, found }) => ({
      about: `curve, ${one.name}`,
      says: 'sentence' in found ? found.sentence : found.missing,
    })),
  ])
}

/** Lengths that an edition keeps. */
const most = { about: 300, says: 2000 } as const

/** Each subject once, and no longer than is kept. */
function once(stated: readonly Stated[]): Stated[] {
  const counted = new Map<string, number>()
  return stated.map(({ about, says }) => {
    const n = (counted.get(about) ?? 0) + 1
    counted.set(about, n)
    return {
      about: (n === 1 ? about : `${about}, ${n}`).slice(0, most.about),
      says: says.slice(0, most.says),
    }
  })
}

/** What is said otherwise than in the edition before. */
export interface Changed {
  readonly about: string
  /** Absent: it was not said. */
  readonly before?: string
  /** Absent: it is not said any more. */
  readonly after?: string
}

/** What changed from one edition to the next, in the order of the newer; what is gone comes last. */
export function changesSince(before: readonly Stated[], after: readonly Stated[]): Changed[] {
  const said = new Map(before.map(({ about, says }) => [withPoint(about), says]))
  const now = new Set(after.map(({ about }) => withPoint(about)))
  return [
    ...after.flatMap(({ about, says }): Changed[] => {
      const old = said.get(withPoint(about))
      if (withPoint(old) === withPoint(says)) return []
      return [{ about, after: says, ...(old === undefined ? {} : { before: old }) }]
    }),
    ...before.flatMap(({ about, says }): Changed[] =>
      now.has(withPoint(about)) ? [] : [{ about, before: says }],
    ),
  ]
}

/** A change in a sentence. */
export const sayChange = ({ about, before, after }: Changed): string =>
  before === undefined
    ? `New: ${about}: ${after ?? ''}`
    : after === undefined
      ? `Not stated any more: ${about}: ${before}`
      : `${about.charAt(0).toUpperCase()}${about.slice(1)}: “${before}” is now “${after}”`
