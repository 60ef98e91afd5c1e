import { isFigure, type Figure } from '../figures'
import { combine, scale, type Uncertain } from '../meters'
import type { Compared } from './compared'
import { criteria } from './criteria'

/** What a unit costs, weighs and takes up, for each watt that it was shown to carry. */
export interface Worth {
  readonly proven: Figure
  /** Absent where it is not noted. */
  readonly price?: { readonly x: Uncertain; readonly currency: string }
  /** g/W */
  readonly mass?: Uncertain
  /** cm³/W */
  readonly volume?: Uncertain
}

const carried = criteria.find(({ key }) => key === 'carried')

/** Per proven watt (docs/method/comparisons.md); undefined while nothing was carried with measured watts. */
export function worthOf(one: Compared): Worth | undefined {
  const proven = carried?.of(one, [], [one])
  if (!proven || !isFigure(proven) || !(proven.x.value > 0)) return undefined
  const { price, mass, size } = one.analysis.record.revision.unit
  const per = (amount: number): Uncertain =>
    combine(amount / proven.x.value, [[proven.x, -amount / proven.x.value ** 2]])
  return {
    proven,
    ...(price ? { price: { x: per(price.amount), currency: price.currency } } : {}),
    ...(mass === undefined ? {} : { mass: scale(per(mass), 1000) }),
    ...(size ? { volume: scale(per(size[0] * size[1] * size[2]), 1e6) } : {}),
  }
}
