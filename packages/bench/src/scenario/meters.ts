import type { MeterRange, StoredMeter } from '@even-watt/contract'
import { seeded } from '../random'

const made = '2026-03-02T08:00:00.000Z'
const random = seeded(7)
const id = () => random.id(Date.parse(made))

const range = (
  reads: MeterRange['reads'],
  upTo: number,
  percent: number,
  counts: number,
  count: number,
  more: Partial<MeterRange> = {},
): MeterRange => ({
  id: id(),
  reads,
  upTo,
  percent,
  counts,
  count,
  standsSteppedWave: true,
  ...more,
})

const meter = (
  name: string,
  updateRate: number,
  ranges: MeterRange[],
  more: Partial<StoredMeter> = {},
): StoredMeter => ({
  id: id(),
  version: 1,
  savedAt: made,
  name,
  updateRate,
  needsZeroing: false,
  ranges,
  ...more,
})

const trueRms = { response: 'true RMS', bandwidth: 1000 } as const
const bench = () => [
  range('DC voltage', 0.6, 0.2, 2, 0.0001),
  range('DC voltage', 60, 0.1, 2, 0.01),
  range('AC voltage', 600, 0.8, 5, 0.1, trueRms),
]

/** The meters of the station's bench. */
export const stationMeters = {
  dmm1: meter('Bench DMM 1', 3, bench()),
  dmm2: meter('Bench DMM 2', 3, bench()),
  ammeter: meter('Series ammeter', 3, [range('DC current', 6, 0.3, 3, 0.001)], { note: '6 A at most.' }),
  pocket: meter('Pocket meter', 2, [range('AC voltage', 600, 1.2, 5, 1, { response: 'average' })]),
  clamp: meter(
    'Hall clamp',
    2,
    [range('DC current', 400, 2, 3, 0.1), range('AC current', 400, 2, 3, 0.1, trueRms)],
    { needsZeroing: true, note: 'Inrush mode 100 ms.' },
  ),
  leadClamp: meter('Lead clamp', 2, [range('AC current', 20, 1, 3, 0.01, trueRms)]),
  shunt: meter('Shunt monitor', 1, [
    range('DC current', 300, 0.5, 2, 0.05),
    range('DC voltage', 100, 0.5, 2, 0.01),
  ]),
  wattmeter: meter('Plug wattmeter', 1, [
    range('AC voltage', 300, 0.5, 1, 0.1, { ...trueRms, standsSteppedWave: false }),
    range('AC current', 13, 1, 1, 0.01, { ...trueRms, standsSteppedWave: false }),
    range('active power', 3000, 1, 1, 1, { standsSteppedWave: false }),
    range('power factor', 1, 0, 2, 0.01, { standsSteppedWave: false }),
    range('frequency', 400, 0, 1, 0.1, { standsSteppedWave: false }),
  ]),
  scope: meter('Bench scope', 10, [range('THD', 1, 3, 1, 0.001)], { note: '8 bits, isolated probe 100 ×.' }),
  infrared: meter('Infrared thermometer', 2, [
    range('temperature', 300, 0, 20, 0.1, { response: 'infrared' }),
  ]),
  thermocouples: meter('Thermocouple pair', 1, [range('temperature', 400, 0, 10, 0.1)]),
  sound: meter('Sound level meter', 1, [range('sound level', 130, 0, 15, 0.1)]),
  plug120: meter('Plug wattmeter, 120 V', 1, [
    range('AC voltage', 150, 0.5, 1, 0.1, trueRms),
    range('AC current', 15, 1, 1, 0.01, trueRms),
    range('active power', 1800, 1, 1, 1),
    range('energy', 100_000, 1, 1, 1),
    range('frequency', 400, 0, 1, 0.1),
  ]),
  wall120: meter('Plug wattmeter at the wall', 1, [
    range('active power', 1800, 1, 1, 1),
    range('energy', 100_000, 1, 1, 1),
  ]),
  usb: meter('USB meter', 2, [range('DC voltage', 30, 0.3, 2, 0.01), range('DC current', 6, 0.5, 2, 0.01)]),
  solar: meter('DC wattmeter', 1, [
    range('DC voltage', 60, 0.3, 2, 0.01),
    range('DC current', 30, 0.5, 2, 0.01),
    range('DC power', 1500, 0.8, 2, 0.1),
    range('energy', 10_000, 1, 1, 0.1),
  ]),
} as const
