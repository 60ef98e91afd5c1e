import type { OneOfMany } from '../figured'
import { isFigure, seriesOf, type Series } from '../figures'
import type { Analysis } from '../trials'
import { catalogue, type Catalogue } from './catalogue'

/** Like figures of one machine, port or kind of look, taken together. */
export interface Together {
  readonly of: string
  readonly series: readonly (readonly [head: string, of: Series])[]
}

/**
 * What the figures of a page come to together: those of one machine, port or kind first; where nothing was read twice, all of
 * them (docs/method/catalogue.md).
 */
export function togetherOnPage(page: string, analysis: Analysis, from: Catalogue = catalogue): Together[] {
  const found = new Map<string, (readonly [string, Series])[]>()
  for (const figured of from.rigs) {
    if (figured.page !== page || !figured.each) continue
    for (const [what, series] of seriesIn(figured.each(analysis)))
      found.set(what, [...(found.get(what) ?? []), [figured.head, series]])
  }
  return [...found].map(([of, series]) => ({ of, series }))
}

function seriesIn(all: readonly OneOfMany[]): [string, Series][] {
  const read = all.filter(({ of }) => isFigure(of))
  const whose = [...new Set(read.map(({ what }) => what))]
  const together = (some: readonly OneOfMany[]) => seriesOf(some.map(({ of }) => of))
  const each = whose.flatMap((what): [string, Series][] => {
    const series = together(read.filter((one) => one.what === what))
    return series ? [[what, series]] : []
  })
  if (each.length) return each
  const series = together(read)
  return series ? [[`all ${whose.length} together`, series]] : []
}
