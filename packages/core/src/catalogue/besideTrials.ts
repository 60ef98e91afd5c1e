import type { TrialFigures } from '@even-watt/contract'
import type { RigFigured } from '../figured'
import { decides, type Figure } from '../figures'
import { exact } from '../meters'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'
import { catalogue, type Catalogue } from './catalogue'

/** A figure of another trial. */
interface Elsewhere {
  readonly trial: string
  readonly title: string
  readonly figure: Figure
}

/** Where a figure stands among those of other trials. */
export interface Placed {
  readonly figured: RigFigured
  readonly here: Figure
  /** How many others are lower, and how many there are. */
  readonly lower: number
  readonly others: number
  readonly lowest: Elsewhere
  readonly middle: Figure
  readonly highest: Elsewhere
}

/** Units of a size: of half to twice the rating. */
const size = 2

/** Whether a rating is of the size of another. */
const isOfSize = (rated: number | null | undefined, own: number): boolean =>
  rated !== null && rated !== undefined && rated <= own * size && rated >= own / size

/** The figures of a page that are known here and may decide. */
export const figuresOfPage = (page: string, analysis: Analysis, from: Catalogue = catalogue): RigFigured[] =>
  from.rigs.filter((figured) => figured.page === page && decides(figured.of(analysis)))

/**
 * Where the figures of a rig stand among those of other trials: how many are lower, the lowest, the middle and the highest of the
 * others (docs/method/catalogue.md). With `ofItsSize` only units of half to twice its rating count. A figure that no other trial
 * has is left out.
 */
export function placedAmong(
  figures: readonly RigFigured[],
  analysis: Analysis,
  trials: readonly TrialFigures[],
  ofItsSize: boolean,
): Placed[] {
  const own = ratedPower(analysis.record.revision.unit)
  const others = trials.filter(
    ({ trial, rated }) =>
      trial !== analysis.record.trial && (!ofItsSize || (own !== undefined && isOfSize(rated, own))),
  )
  return figures.flatMap((figured) => {
    const here = figured.of(analysis)
    if (!decides(here)) return []
    const told = others
      .flatMap(({ trial, title, figures: theirs }): Elsewhere[] => {
        const value = theirs[figured.id]?.[0]
        return value === undefined ? [] : [{ trial, title, figure: { ...here, x: exact(value) } }]
      })
      .sort((a, b) => a.figure.x.value - b.figure.x.value)
    const [lowest, highest] = [told[0], told.at(-1)]
    if (!lowest || !highest) return []
    return [
      {
        figured,
        here,
        lower: told.filter(({ figure }) => figure.x.value < here.x.value).length,
        others: told.length,
        lowest,
        middle: { ...here, x: exact(middleOf(told.map(({ figure }) => figure.x.value))) },
        highest,
      },
    ]
  })
}

/** Of values in order: the one in the middle, or the mean of the two. */
function middleOf(sorted: readonly number[]): number {
  const at = (sorted.length - 1) / 2
  return ((sorted[Math.floor(at)] ?? NaN) + (sorted[Math.ceil(at)] ?? NaN)) / 2
}

/** "lowest of 6", "2nd lowest of 6", "highest of 6". */
export function sayPlace({ lower, others }: Pick<Placed, 'lower' | 'others'>): string {
  const all = others + 1
  if (lower === 0) return `lowest of ${all}`
  if (lower === others) return `highest of ${all}`
  const [place, end] = lower * 2 < all - 1 ? [lower + 1, 'lowest'] : [others - lower + 1, 'highest']
  return place === 1 ? `${end} of ${all}` : `${ordinal(place)} ${end} of ${all}`
}

const ends: Readonly<Record<string, string>> = { one: 'st', two: 'nd', few: 'rd', other: 'th' }
const ordinals = new Intl.PluralRules('en', { type: 'ordinal' })
const ordinal = (n: number) => `${n}${ends[ordinals.select(n)] ?? 'th'}`
