import type { Meter, MeterRange, Readable } from '@even-watt/contract'

/** Kinds of meter that testers have, for one whose manual is not at hand. */
export const meterKinds = [
  'hand-held meter, 3½ digits',
  'hand-held meter, 4 digits',
  'clamp',
  'plug meter',
  'shunt monitor',
  'DC wattmeter',
  'battery’s app',
  'panel display',
  'USB meter',
  'sound level meter',
] as const
export type MeterKind = (typeof meterKinds)[number]

type Row = readonly [
  reads: Readable,
  upTo: number,
  percent: number,
  counts: number,
  count: number,
  more?: Partial<MeterRange>,
]

const average = { response: 'average' } as const
const trueRms = { response: 'true RMS', bandwidth: 400 } as const

/**
 * What meters of a kind are usually sold with, taken wide: a meter whose own manual is not at hand is not to decide what it
 * cannot (docs/method/meters.md). None is said to stand a stepped wave.
 */
const rows: Readonly<Record<MeterKind, readonly Row[]>> = {
  'hand-held meter, 3½ digits': [
    ['DC voltage', 20, 1, 3, 0.01],
    ['DC voltage', 200, 1, 3, 0.1],
    ['AC voltage', 600, 1.5, 10, 1, average],
    ['DC current', 10, 3, 5, 0.01],
  ],
  'hand-held meter, 4 digits': [
    ['DC voltage', 60, 0.8, 5, 0.01],
    ['DC voltage', 600, 0.8, 5, 0.1],
    ['AC voltage', 600, 1.5, 10, 0.1, trueRms],
    ['DC current', 10, 2, 10, 0.01],
    ['frequency', 1000, 0.1, 3, 0.1],
  ],
  clamp: [
    ['DC current', 400, 3, 5, 0.1],
    ['AC current', 400, 3, 5, 0.1, trueRms],
  ],
  'plug meter': [
    ['AC voltage', 300, 2, 2, 0.1, trueRms],
    ['AC current', 16, 2, 3, 0.01, trueRms],
    ['active power', 3680, 2, 3, 1],
    ['power factor', 1, 0, 5, 0.01],
    ['frequency', 100, 0, 3, 0.1],
    ['energy', 1e6, 2, 3, 10],
  ],
  'shunt monitor': [
    ['DC voltage', 100, 1, 3, 0.01],
    ['DC current', 500, 1.5, 3, 0.1],
  ],
  'DC wattmeter': [
    ['DC voltage', 60, 1, 3, 0.01],
    ['DC current', 100, 2, 3, 0.01],
    ['DC power', 6000, 3, 3, 0.1],
    ['charge', 1000, 3, 3, 0.001],
    ['energy', 10_000, 3, 3, 0.1],
  ],
  'battery’s app': [
    ['DC voltage', 60, 1, 3, 0.01],
    ['DC current', 300, 5, 5, 0.1],
  ],
  'panel display': [
    ['DC voltage', 60, 2, 2, 0.1],
    ['AC voltage', 300, 3, 3, 1, average],
  ],
  'USB meter': [
    ['DC voltage', 30, 1, 3, 0.01],
    ['DC current', 6, 2, 3, 0.01],
  ],
  'sound level meter': [['sound level', 130, 0, 20, 0.1]],
}

/** A meter of a kind with the usual specification, marked as such. Ids of its ranges are asked for one by one. */
export function typicalMeter(kind: MeterKind, newId: () => string): Meter {
  return {
    name: kind,
    needsZeroing: kind === 'clamp',
    typical: true,
    ranges: rows[kind].map(([reads, upTo, percent, counts, count, more]) => ({
      id: newId(),
      reads,
      upTo,
      percent,
      counts,
      count,
      standsSteppedWave: false,
      ...more,
    })),
  }
}
