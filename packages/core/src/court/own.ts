import { sayFigure, type Figure } from '../figures'
import type { Evidence } from './evidence'
import type { Promised } from './promise'

/** What a limit or a need of the tester’s own has in common: every reading counts, and the worst decides. */
export const ownPromise = {
  units: ['%'],
  usual: { unit: '%', comparator: 'at most' },
  at: 'ladder',
  several: 'worst',
  room: 'stated',
  voltsOf: 'steady',
} as const satisfies Partial<Promised>

/** A figure as it was read, with the place in words: ", at 900 W". */
export const asRead = (figure: Figure, where = ''): Evidence => ({
  code: 'read',
  figure,
  bound: 'exact',
  hindrances: [],
  found: () => `it is ${sayFigure(figure)}${where}`,
})
