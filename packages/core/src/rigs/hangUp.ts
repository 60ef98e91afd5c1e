import type { Assignment, Quantity, Readable, StoredMeter } from '@even-watt/contract'

/** Where a tester with one voltmeter holds it. */
export const voltsAt = ['the posts', 'the terminals', 'both'] as const
export type VoltsAt = (typeof voltsAt)[number]

type Hung = Pick<StoredMeter, 'id' | 'ranges'>

/** Amps that an ammeter must stand to be put in the leads of a unit. */
const leastAmps = 40

const most = ({ ranges }: Hung, reads: Readable): number =>
  Math.max(0, ...ranges.flatMap((range) => (range.reads === reads ? [range.upTo] : [])))
const reads = (what: Readable) => (meter: Hung) => most(meter, what) > 0
const isPlug = reads('active power')

/** In reading order: which meter is the first choice for each quantity. */
const choices: readonly (readonly [Quantity, (meter: Hung) => boolean, (meter: Hung) => number])[] = [
  [
    'V_A',
    reads('DC voltage'),
    (meter) => Number(!reads('DC current')(meter) || most(meter, 'DC current') < leastAmps),
  ],
  [
    'V_B',
    reads('DC voltage'),
    (meter) => Number(!reads('DC current')(meter) || most(meter, 'DC current') < leastAmps),
  ],
  ['I', (meter) => most(meter, 'DC current') >= leastAmps, () => 0],
  ['P_B', (meter) => reads('DC power')(meter) && most(meter, 'DC current') < leastAmps, () => 0],
  ['V_C', reads('AC voltage'), (meter) => Number(isPlug(meter))],
  ['I_C', reads('AC current'), (meter) => Number(isPlug(meter))],
  ['P_C', isPlug, () => 0],
  ['PF', reads('power factor'), () => 0],
  ['f', reads('frequency'), (meter) => Number(isPlug(meter))],
  ['T', reads('temperature'), () => 0],
]

/**
 * Hangs meters up where testers hang them: volts at the posts or terminals on the hand-held, amps on clamp or shunt, the
 * outlet on the plug meter. Of several meters the one made for it, else the first named.
 */
export function hangUp(meters: readonly Hung[], volts: VoltsAt): Assignment[] {
  const wanted = (quantity: Quantity) =>
    quantity === 'V_A' ? volts !== 'the terminals' : quantity === 'V_B' ? volts !== 'the posts' : true
  return choices.flatMap(([quantity, can, liking]) => {
    const able = wanted(quantity) ? meters.filter(can) : []
    const best = able.reduce<Hung | undefined>((a, b) => (a && liking(a) >= liking(b) ? a : b), undefined)
    return best ? [{ quantity, meter: best.id }] : []
  })
}
