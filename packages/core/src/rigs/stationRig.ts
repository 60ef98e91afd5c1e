import type { Rig } from '@even-watt/contract'

/** V that a store is drawn at where only its watt-hours are known: no figure rests on it, for it has no tap. */
const storeVolts = 25.6

/**
 * What stands for the rig of a power station: its own store, nothing between posts and terminals. Watt-hours of its label;
 * undefined: not known.
 */
export const stationRig = (name: string, Wh: number | undefined, id: string): Rig => ({
  name: `${name}, by itself`,
  bank: {
    name: 'its store',
    strings: [
      [
        {
          id,
          name: 'store',
          // Stations hold lithium of one kind or another; nothing but how long a run takes rests on it.
          chemistry: 'other lithium',
          nominal: storeVolts,
          ...(Wh === undefined ? {} : { capacity: Wh / storeVolts }),
          open: false,
        },
      ],
    ],
    join: { kind: 'in line', positive: [], negative: [], positiveAt: 0, negativeAt: 0 },
    usableShare: 1,
  },
  positive: [],
  negative: [],
  ambient: 20,
  assignments: [],
})
