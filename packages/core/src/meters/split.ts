import { isOwn } from './sources'
import type { Uncertain } from './uncertain'

/** What is uncertain about a value, told apart: the variance of what is its own, and the sources that others may share. */
export interface Split {
  readonly own: number
  readonly shared: readonly (readonly [source: string, sensitivity: number])[]
}

/** Sources do not change once they are named: they are looked through once, however often a fit asks. */
const known = new WeakMap<ReadonlyMap<string, number>, Split>()

export function splitOf({ sources }: Pick<Uncertain, 'sources'>): Split {
  let split = known.get(sources)
  if (!split) {
    let own = 0
    const shared: (readonly [string, number])[] = []
    for (const [source, sensitivity] of sources) {
      if (isOwn(source)) own += sensitivity ** 2
      else shared.push([source, sensitivity])
    }
    known.set(sources, (split = { own, shared }))
  }
  return split
}

/** Covariance of two values by what is their own: of one reading, say, that both rest on. */
export function ownCovariance(x: Uncertain, y: Uncertain): number {
  let sum = 0
  for (const [source, sensitivity] of x.sources)
    if (isOwn(source)) sum += sensitivity * (y.sources.get(source) ?? 0)
  return sum
}
