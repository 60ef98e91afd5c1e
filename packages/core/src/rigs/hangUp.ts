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

type Choice = (typeof choices)[number]

/** Of each quantity the meter that is first choice; of several alike the first named. */
const firstChoices = (meters: readonly Hung[], wanted: readonly Choice[]): Assignment[] =>
  wanted.flatMap(([quantity, can, liking]) => {
    const best = meters
      .filter(can)
      .reduce<Hung | undefined>((a, b) => (a && liking(a) >= liking(b) ? a : b), undefined)
    return best ? [{ quantity, meter: best.id }] : []
  })

/**
 * Hangs meters up where testers hang them: volts at the posts or terminals on the hand-held, amps on clamp or shunt, the
 * outlet on the plug meter. Of several meters the one made for it, else the first named.
 */
export const hangUp = (meters: readonly Hung[], volts: VoltsAt): Assignment[] =>
  firstChoices(
    meters,
    choices.filter(([quantity]) =>
      quantity === 'V_A' ? volts !== 'the terminals' : quantity === 'V_B' ? volts !== 'the posts' : true,
    ),
  )

/** A port takes a few amps: a meter of more is coarse there. */
const portAmps = 12
const isPort = (meter: Hung) =>
  reads('DC current')(meter) && reads('DC voltage')(meter) && most(meter, 'DC current') <= portAmps
const isSolar = (meter: Hung) => reads('DC power')(meter)

/**
 * Hangs meters up round a power station: the plug meter at its outlet, a second one at the wall (or the same, by turns), the
 * meter of a few amps at its ports, a DC wattmeter at its charge input.
 */
export function hangUpAtStation(meters: readonly Hung[]): Assignment[] {
  const plugs = meters.filter(isPlug)
  const [outlet, wall = outlet] = plugs
  const of = (plug: Hung | undefined): readonly Hung[] => (plug ? [plug] : [])
  const any = () => 0
  return [
    ...firstChoices(
      of(outlet),
      choices.filter(([quantity]) => quantity === 'V_C' || quantity === 'P_C'),
    ),
    ...firstChoices(of(outlet), [['E_C', reads('energy'), any]]),
    ...firstChoices(of(wall), [
      ['P_wall', isPlug, any],
      ['E_wall', reads('energy'), any],
    ]),
    ...firstChoices(meters, [
      ['V_in', isSolar, any],
      ['I_in', isSolar, any],
      ['P_in', isSolar, any],
      ['E_in', (meter) => isSolar(meter) && reads('energy')(meter), any],
      ['V_port', isPort, any],
      ['I_port', isPort, any],
      ['T', reads('temperature'), any],
    ]),
  ]
}
