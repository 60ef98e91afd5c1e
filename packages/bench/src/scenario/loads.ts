import type { LoadKind, StoredLoad } from '@even-watt/contract'
import type { LoadModel } from '../loads/law'
import { seeded } from '../random'

const made = '2026-03-03T08:00:00.000Z'
const random = seeded(29)
const id = () => random.id(Date.parse(made))

const load = (
  name: string,
  kind: LoadKind,
  settings: readonly (readonly [name: string, watts: number])[],
  more: Partial<StoredLoad> = {},
): StoredLoad => ({
  id: id(),
  version: 1,
  savedAt: made,
  name,
  kind,
  volts: 230,
  settings: settings.map(([setting, watts]) => ({ id: id(), name: setting, watts })),
  loud: false,
  ...more,
})

/** The station's load shelf: a 230 V set, and a 120 V one for what visiting launches bring. */
export const stationLoads = {
  plate: load('drying plate', 'element', [
    ['low', 350],
    ['high', 700],
  ]),
  waxBath: load('wax bath', 'element', [['', 450]]),
  kettle: load('kettle', 'element', [['', 1750]], { loud: true, cord: 10 }),
  rod: load('immersion rod', 'element', [['', 1000]]),
  mat: load('incubator mat', 'element', [['', 60]]),
  oven: load(
    'sand oven',
    'element',
    [
      ['low', 600],
      ['high', 1200],
    ],
    { warmUp: { cold: 1.04, seconds: 90 } },
  ),
  lamps: load('lamp board', 'filament', [
    ['1', 60],
    ['2', 120],
    ['3', 180],
    ['4', 240],
  ]),
  dryer: load('hot-air dryer', 'half-wave', [['diode', 480]], { loud: true }),
  dock: load('dock', 'electronic', [['', 65]], { powerFactor: 0.6 }),
  scopeLamp: load('microscope lamp', 'electronic', [['', 12]], { powerFactor: 0.55 }),
  ring: load(
    'induction ring',
    'electronic',
    [
      ['low', 500],
      ['middle', 1000],
      ['high', 1800],
    ],
    { powerFactor: 0.98, loud: true },
  ),
  vacuum: load('filtration vacuum pump', 'induction motor', [['', 180]], {
    inrush: 7,
    powerFactor: 0.75,
    loud: true,
  }),
  centrifuge: load('bench centrifuge', 'induction motor', [['', 300]], {
    inrush: 1.5,
    powerFactor: 0.7,
    loud: true,
    note: 'Soft start.',
  }),
  transfer: load('transfer pump', 'induction motor', [['', 370]], {
    inrush: 6,
    powerFactor: 0.75,
    loud: true,
  }),
  freezer: load('sample freezer', 'induction motor', [['', 140]], { inrush: 8, powerFactor: 0.7 }),
  winch: load('capacitor-start winch', 'induction motor', [['', 1100]], {
    inrush: 6.5,
    powerFactor: 0.85,
    loud: true,
  }),
  shaker: load('sieve shaker', 'induction motor', [['', 90]], { inrush: 5, powerFactor: 0.7, loud: true }),
  steriliser: load('steriliser', 'element', [['', 900]], {
    volts: 120,
    warmUp: { cold: 1.05, seconds: 120 },
  }),
  hotPlate: load(
    'hot plate',
    'element',
    [
      ['low', 750],
      ['high', 1500],
    ],
    { volts: 120, cord: 15 },
  ),
  dryingRoom: load(
    'drying-room heater',
    'element',
    [
      ['low', 600],
      ['high', 1200],
    ],
    { volts: 120, loud: true },
  ),
  urn: load('urn', 'element', [['', 1440]], { volts: 120, cord: 15 }),
  heatMat: load('heat mat', 'element', [['', 100]], { volts: 120 }),
  deckLamps: load(
    'deck lamps',
    'filament',
    [
      ['1', 75],
      ['2', 150],
      ['3', 225],
    ],
    { volts: 120 },
  ),
  logger: load('data logger', 'electronic', [['', 45]], { volts: 120, powerFactor: 0.6 }),
  bilge: load('bilge pump', 'induction motor', [['', 280]], {
    volts: 120,
    inrush: 6,
    powerFactor: 0.75,
    loud: true,
  }),
  compressor: load('air compressor', 'induction motor', [['', 750]], {
    volts: 120,
    inrush: 7,
    powerFactor: 0.8,
    loud: true,
  }),
  extractor: load('fume extractor', 'induction motor', [['', 120]], {
    volts: 120,
    inrush: 5,
    powerFactor: 0.7,
    loud: true,
  }),
} as const

/** One setting of the shelf as the bench sees it. */
function setting(of: StoredLoad, which: number): LoadModel {
  const chosen = of.settings[which]
  if (!chosen || (of.kind !== 'element' && of.kind !== 'filament' && of.kind !== 'electronic')) {
    throw new Error(`The bench has no model of ${of.name}.`)
  }
  return {
    name: chosen.name ? `${of.name} ${chosen.name}` : of.name,
    kind: of.kind,
    watts: chosen.watts,
    volts: of.volts,
    ...(of.powerFactor === undefined ? {} : { powerFactor: of.powerFactor }),
    use: { load: of.id, setting: chosen.id },
  }
}

/** Settings that the demo ladders use. */
export const shelf = {
  mat: setting(stationLoads.mat, 0),
  lamps: (n: 1 | 2 | 3 | 4): LoadModel => setting(stationLoads.lamps, n - 1),
  plateLow: setting(stationLoads.plate, 0),
  plateHigh: setting(stationLoads.plate, 1),
  waxBath: setting(stationLoads.waxBath, 0),
  rod: setting(stationLoads.rod, 0),
  ovenLow: setting(stationLoads.oven, 0),
  ovenHigh: setting(stationLoads.oven, 1),
  dock: setting(stationLoads.dock, 0),
  steriliser: setting(stationLoads.steriliser, 0),
  heatMat: setting(stationLoads.heatMat, 0),
  urn: setting(stationLoads.urn, 0),
  hotPlateHigh: setting(stationLoads.hotPlate, 1),
  roomLow: setting(stationLoads.dryingRoom, 0),
  roomHigh: setting(stationLoads.dryingRoom, 1),
} as const
