import type { Claim, StoredUnit } from '@even-watt/contract'
import { seeded } from '../random'
import type { UnitModel } from '../units/unit'

const made = '2026-03-03T08:00:00.000Z'
const random = seeded(11)
const id = () => random.id(Date.parse(made))

const claim = (
  quantity: Claim['quantity'],
  comparator: Claim['comparator'],
  value: number,
  unit: Claim['unit'],
  readWhere: string,
  more: Partial<Claim> = {},
): Claim => ({
  id: id(),
  quantity,
  comparator,
  value,
  unit,
  readWhere,
  ...more,
})

const ottrelClaims = (idle: number) => [
  claim('continuous power', 'at least', 1400, 'W', 'label'),
  claim('surge power', 'at least', 2700, 'W', 'label', { duration: 2 }),
  claim('efficiency', 'at least', 92, '%', 'sales page'),
  claim('idle draw', 'at most', idle, 'W', 'manual, p. 4'),
  claim('regulation', 'within ±', 3, '%', 'manual, p. 4'),
  claim('THD', 'at most', 3, '%', 'label'),
  claim('alarm voltage', 'at least', 21.6, 'V', 'manual, p. 5'),
  claim('cutoff voltage', 'at least', 20.8, 'V', 'manual, p. 5'),
]

const stored = { version: 1, savedAt: made }

export const stationUnits = {
  ottrel: {
    ...stored,
    id: id(),
    name: 'Ottrel 1400-24',
    kind: 'inverter',
    inputVoltage: 24,
    outputVoltage: 230,
    outputFrequency: 50,
    phase: 'single',
    wave: 'sine',
    provenance: { how: 'bought', preProduction: false, note: 'Bought at the full price for launch 2.' },
    revision: 'B',
    dateCode: '2547',
    price: { amount: 389, currency: 'EUR' },
    mass: 4.1,
    size: [0.34, 0.21, 0.09],
    claims: ottrelClaims(11),
  },
  ottrelC: {
    ...stored,
    id: id(),
    name: 'Ottrel 1400-24 rev C',
    kind: 'inverter',
    inputVoltage: 24,
    outputVoltage: 230,
    outputFrequency: 50,
    phase: 'single',
    wave: 'sine',
    provenance: { how: 'lent', preProduction: true, note: 'Lent by the maker until June.' },
    revision: 'C',
    mass: 3.9,
    size: [0.34, 0.21, 0.09],
    claims: ottrelClaims(9),
  },
  pellam: {
    ...stored,
    id: id(),
    name: 'Pellam 900-12',
    kind: 'inverter',
    inputVoltage: 12,
    outputVoltage: 230,
    outputFrequency: 50,
    phase: 'single',
    wave: 'stepped',
    provenance: { how: 'bought', preProduction: false },
    price: { amount: 74, currency: 'EUR' },
    mass: 1.9,
    size: [0.24, 0.14, 0.07],
    note: 'Its manual never says which wave it makes; seen on the scope.',
    claims: [
      claim('continuous power', 'at least', 900, 'W', 'label'),
      claim('surge power', 'at least', 1700, 'W', 'label'),
      claim('efficiency', 'at least', 88, '%', 'box'),
      claim('idle draw', 'at most', 0.6, 'A', 'manual'),
      claim('regulation', 'within ±', 4, '%', 'manual'),
      claim('alarm voltage', 'at least', 11, 'V', 'manual'),
      claim('cutoff voltage', 'at least', 10.5, 'V', 'manual'),
    ],
  },
  varnock: {
    ...stored,
    id: id(),
    name: 'Varnock 3600-48',
    kind: 'inverter-charger',
    inputVoltage: 48,
    outputVoltage: 120,
    outputFrequency: 60,
    phase: 'split',
    wave: 'sine',
    provenance: {
      how: 'bought',
      preProduction: false,
      note: 'For the visiting launch, whose gear is 120 V.',
    },
    mass: 17.5,
    size: [0.48, 0.32, 0.16],
    note: '120 V on each leg, 240 V between them.',
    claims: [
      claim('continuous power', 'at least', 3600, 'W', 'label'),
      claim('surge power', 'at least', 7000, 'W', 'label', { duration: 5 }),
      claim('efficiency', 'at least', 93, '%', 'sales page'),
      claim('idle draw', 'at most', 28, 'W', 'manual, p. 7'),
      claim('search-mode draw', 'at most', 6, 'W', 'manual, p. 7'),
      claim('transfer time', 'at most', 25, 'ms', 'manual, p. 9'),
      claim('alarm voltage', 'at least', 44, 'V', 'manual, p. 8'),
      claim('cutoff voltage', 'at least', 42, 'V', 'manual, p. 8'),
      claim('continuous power', 'at least', 1800, 'W', 'manual, p. 7', { eachLeg: true }),
    ],
  },
} as const satisfies Record<string, StoredUnit>

export const unitModels = {
  ottrel: {
    p0: 10.4,
    p1: 0.021,
    p2: 3.1e-5,
    fan: { watts: 2.5, from: 260 },
    noLoadVoltage: 231.4,
    fallPerWatt: 0.0015,
    frequency: 50,
    alarm: 21.6,
    wave: { kind: 'sine', thd: 0.011, thdPerWatt: 3.6e-6, peakPerVolt: 13.5 },
  },
  ottrelC: {
    p0: 8.5,
    p1: 0.0185,
    p2: 3e-5,
    fan: { watts: 2.5, from: 480 },
    noLoadVoltage: 231,
    fallPerWatt: 0.0014,
    frequency: 50,
    alarm: 21.6,
    wave: { kind: 'sine', thd: 0.011, thdPerWatt: 3e-6, peakPerVolt: 13.7 },
  },
  pellam: {
    p0: 6.5,
    p1: 0.05,
    p2: 9.8e-5,
    fan: { watts: 1.8, from: 300 },
    noLoadVoltage: 226,
    fallPerWatt: 0.009,
    frequency: 50,
    alarm: 11,
    // 266 V at 12.6 V and nothing connected: 226 V RMS with a plateau of 0.72 of the half cycle.
    wave: { kind: 'stepped', perVolt: 21.14, droopPerWatt: 1.1e-4 },
  },
  varnock: {
    p0: 24,
    p1: 0.022,
    p2: 9e-6,
    fan: { watts: 6, from: 900 },
    // Of one leg; both stand against each other.
    noLoadVoltage: 120.6,
    fallPerWatt: 0.0011,
    frequency: 60,
    alarm: 44,
    wave: { kind: 'sine', thd: 0.014, thdPerWatt: 2e-6, peakPerVolt: 4.2 },
  },
} as const satisfies Record<string, UnitModel>
