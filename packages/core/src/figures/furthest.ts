import { isFigure, type Derived, type Figure } from './figure'

/** The highest of some figures, or the lowest; those that are missing say why only where there is no other. */
export function furthest(which: 'highest' | 'lowest', all: readonly Derived[], why: string): Derived {
  const sign = which === 'highest' ? 1 : -1
  const found = all
    .filter(isFigure)
    .reduce<Figure | undefined>(
      (most, one) => (!most || sign * (one.x.value - most.x.value) > 0 ? one : most),
      undefined,
    )
  return found ?? { missing: why }
}
