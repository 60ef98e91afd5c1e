import { isFigure, type Derived, type Figure } from './figure'

/** Which of several figures tells of all of them; the largest by its size, whatever its sign. */
export type Furthest = 'highest' | 'lowest' | 'largest'

const sizes: Readonly<Record<Furthest, (x: number) => number>> = {
  highest: (x) => x,
  lowest: (x) => -x,
  largest: Math.abs,
}

/** The furthest of some figures; those that are missing say why only where there is no other. */
export function furthest(which: Furthest, all: readonly Derived[], why: string): Derived {
  const size = ({ x }: Figure) => sizes[which](x.value)
  const found = all
    .filter(isFigure)
    .reduce<Figure | undefined>((most, one) => (!most || size(one) > size(most) ? one : most), undefined)
  return found ?? { missing: why }
}
