import { plain, sayCableSize, sayLength } from '../figures'
import type { Cable, ElementKind, PathElement, Rig } from '@even-watt/contract'
import { flexibleStranding, inParallel, withEnds } from '../conductors'
import { methodSource, rectangular, sumOf, uncertain, type Uncertain } from '../meters'

export type SideName = 'positive' | 'negative'
const sides: readonly SideName[] = ['positive', 'negative']

/** An element with the side of the path it lies in. */
export interface Placed {
  readonly side: SideName
  readonly element: PathElement
}

/** All elements in path order: from the positive post to the unit, then from the negative post to the unit. */
export const placed = (rig: Pick<Rig, SideName>): Placed[] =>
  sides.flatMap((side) => rig[side].map((element) => ({ side, element })))

export const isCable = (element: PathElement): element is Cable => element.kind === 'cable'

/** Fused, switched or measured: with a rating printed on it. */
export const isDevice = ({ kind }: PathElement): boolean =>
  kind === 'fuse' || kind === 'breaker' || kind === 'shunt' || kind === 'isolator'

export const cables = (rig: Pick<Rig, SideName>): (Placed & { element: Cable })[] =>
  placed(rig).filter((item): item is Placed & { element: Cable } => isCable(item.element))

/** Fuses and breakers: what is there to open when the current is too high. */
export const protections = (rig: Pick<Rig, SideName>) =>
  placed(rig).flatMap(({ side, element }) =>
    element.kind === 'fuse' || element.kind === 'breaker' ? [{ side, element }] : [],
  )

export const hasFuse = (rig: Pick<Rig, SideName>): boolean => protections(rig).length > 0

/**
 * Usual resistance of joints and devices when sound, Ω: a starting table that each rig may change. A sound crimp
 * with its bolted face is up to 0.2 mΩ (docs/method/rigs.md); the value stands for anything from nothing to twice it.
 */
export const usualResistance: Record<Exclude<ElementKind, 'cable'>, number> = {
  lug: 0.0001,
  'jaw clamp': 0.001,
  terminal: 0.0001,
  connector: 0.0002,
  fuse: 0.0003,
  breaker: 0.0003,
  shunt: 0.0002,
  isolator: 0.0002,
}

/** Spread of the stranding factor (± 0.05 of 1.12), rectangular, relative. */
const strandingSpread = rectangular(0.05 / flexibleStranding)
/** A resistance the tester states is taken to be known to this share of it. */
const statedSpread = rectangular(0.2)

/**
 * Expected resistance of an element, Ω at the given temperature: as stated; else computed for a cable, else from
 * the rig's table or the usual one. The stranding factor is one source of error common to all cables of a rig;
 * `scope` tells it from that of other rigs.
 */
export function expectedResistance(
  element: PathElement,
  typical: Rig['typical'],
  celsius = 20,
  scope = '',
): Uncertain {
  const own = methodSource(`expected ${element.name}`, element.id)
  if (element.resistance !== undefined) {
    return uncertain(element.resistance, own, statedSpread * element.resistance)
  }
  if (!isCable(element)) {
    const usual = typical?.[element.kind] ?? usualResistance[element.kind]
    return uncertain(usual, own, rectangular(usual))
  }
  const R = inParallel(element.conductors.map((conductor) => withEnds(conductor, celsius)))
  return uncertain(R, methodSource('stranding', scope), strandingSpread * R)
}

/** Sum of what is expected of the given elements, Ω. */
export const expectedTotal = (
  elements: readonly PathElement[],
  typical: Rig['typical'],
  celsius = 20,
  scope = '',
): Uncertain => sumOf(elements.map((element) => expectedResistance(element, typical, celsius, scope)))

/** Ω of all cables at a temperature: the leads alone. */
export const leadsResistance = (rig: Pick<Rig, SideName>, celsius = 20): number =>
  cables(rig).reduce(
    (sum, { element }) => sum + inParallel(element.conductors.map((one) => withEnds(one, celsius))),
    0,
  )

/** "16 mm² copper, 1.2 m", "fuse 100 A". */
export function describeElement(element: PathElement): string {
  if (isCable(element)) {
    return element.conductors
      .map(
        (conductor) =>
          `${sayCableSize(conductor.gauge)} ${conductor.material}, ${sayLength(conductor.length)}${conductor.runs > 1 ? ` × ${conductor.runs} runs` : ''}`,
      )
      .join(' beside ')
  }
  return element.continuous ? `${element.kind} ${plain(element.continuous)} A` : element.kind
}
