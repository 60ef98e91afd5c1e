import type { Assignment, Bank, Battery, Conductor, PathElement, StoredRig } from '@even-watt/contract'
import { bankSource, isCable, placed, withEnds, type Source } from '@even-watt/core'
import { seeded } from '../random'
import { stationMeters as m } from './meters'

const made = '2026-03-04T08:00:00.000Z'
const random = seeded(13)
const id = () => random.id(Date.parse(made))

const cable = (name: string, area: number, length: number): PathElement => {
  const conductor: Conductor = {
    gauge: { unit: 'mm²', area },
    length,
    runs: 1,
    material: 'copper',
    strandingFactor: 1.12,
  }
  return { id: id(), name, kind: 'cable', conductors: [conductor], insulation: 105 }
}
const joint = (kind: 'lug' | 'jaw clamp', name: string): PathElement => ({ id: id(), name, kind })
const device = (kind: 'fuse' | 'breaker' | 'shunt', name: string, continuous: number): PathElement => ({
  id: id(),
  name,
  kind,
  continuous,
})

const lithium = (name: string): Battery => ({
  id: id(),
  name,
  chemistry: 'lithium iron phosphate',
  nominal: 12.8,
  capacity: 150,
  rest: 13.2,
  resistance: 0.00585,
  limit: 150,
  age: 2,
  open: false,
})
const glassMat = (name: string, resistance: number, age: number): Battery => ({
  id: id(),
  name,
  chemistry: 'AGM',
  nominal: 12,
  capacity: 95,
  rest: 12.7,
  resistance,
  age,
  open: false,
})

const onSine: Assignment[] = [
  { quantity: 'V_A', meter: m.dmm1.id },
  { quantity: 'V_B', meter: m.dmm1.id },
  { quantity: 'I', meter: m.shunt.id },
  { quantity: 'V_C', meter: m.dmm2.id },
  { quantity: 'I_C', meter: m.wattmeter.id },
  { quantity: 'P_C', meter: m.wattmeter.id },
  { quantity: 'PF', meter: m.wattmeter.id },
  { quantity: 'f', meter: m.wattmeter.id },
  { quantity: 'THD', meter: m.scope.id },
  { quantity: 'T', meter: m.infrared.id },
  { quantity: 'idle I', meter: m.ammeter.id },
]

/** The plug wattmeter’s 13 A are too little here: watts are volts times the clamp’s amps, on elements. */
const onSplit: Assignment[] = [
  { quantity: 'V_A', meter: m.dmm1.id },
  { quantity: 'V_B', meter: m.dmm1.id },
  { quantity: 'I', meter: m.shunt.id },
  { quantity: 'V_C', meter: m.dmm2.id },
  { quantity: 'I_C', meter: m.clamp.id },
  { quantity: 'THD', meter: m.scope.id },
  { quantity: 'T', meter: m.infrared.id },
  { quantity: 'idle I', meter: m.ammeter.id },
]

/** Each leg by itself. */
const onLegs: Assignment[] = [
  { quantity: 'V_A', meter: m.dmm1.id },
  { quantity: 'V_B', meter: m.dmm1.id },
  { quantity: 'I', meter: m.shunt.id },
  { quantity: 'V_L1', meter: m.dmm2.id },
  { quantity: 'I_L1', meter: m.leadClamp.id },
  { quantity: 'V_L2', meter: m.dmm2.id },
  { quantity: 'I_L2', meter: m.leadClamp.id },
  { quantity: 'idle I', meter: m.ammeter.id },
]

const onStepped: Assignment[] = [
  { quantity: 'V_A', meter: m.dmm1.id },
  { quantity: 'V_B', meter: m.dmm1.id },
  { quantity: 'I', meter: m.clamp.id },
  { quantity: 'V_C', meter: m.dmm2.id },
  { quantity: 'V_C', meter: m.pocket.id },
  { quantity: 'I_C', meter: m.leadClamp.id },
  { quantity: 'THD', meter: m.scope.id },
  { quantity: 'idle I', meter: m.ammeter.id },
]

const tired = glassMat('G12', 0.017, 9)

export const stationBanks = {
  l24: {
    name: 'L24',
    strings: [[lithium('L24 upper'), lithium('L24 lower')]],
    join: { kind: 'in line', positive: [], negative: [], positiveAt: 0, negativeAt: 0 },
    usableShare: 0.9,
  },
  g12: {
    name: 'G12, tired',
    strings: [[tired]],
    join: { kind: 'in line', positive: [], negative: [], positiveAt: 0, negativeAt: 0 },
    usableShare: 0.5,
  },
  g12x3: {
    name: 'G12x3',
    strings: [[tired], [glassMat('G12 b', 0.006, 2)], [glassMat('G12 c', 0.0064, 2)]],
    join: {
      kind: 'in line',
      positive: [0.0002, 0.0002],
      negative: [0.0002, 0.0002],
      positiveAt: 0,
      negativeAt: 2,
    },
    usableShare: 0.5,
  },
  l48: {
    name: 'L48',
    strings: [['L48 a', 'L48 b', 'L48 c', 'L48 d'].map(lithium)],
    join: { kind: 'in line', positive: [], negative: [], positiveAt: 0, negativeAt: 0 },
    usableShare: 0.9,
  },
} as const satisfies Record<string, Bank>

/** The path of L48: 50 mm² leads, fuse, shunt; each time of parts of their own. */
const onFifty = (): Pick<StoredRig, 'positive' | 'negative'> => ({
  positive: [
    joint('lug', 'positive lug'),
    device('fuse', 'fuse', 125),
    cable('positive lead', 50, 0.8),
    joint('lug', 'positive terminal lug'),
  ],
  negative: [
    joint('lug', 'negative lug'),
    device('shunt', 'shunt', 300),
    cable('negative lead', 50, 0.8),
    joint('lug', 'negative terminal lug'),
  ],
})

export const stationRigs = {
  l24: {
    id: id(),
    version: 1,
    savedAt: made,
    name: 'L24, 16 mm² leads',
    bank: stationBanks.l24,
    positive: [
      joint('lug', 'positive lug'),
      device('fuse', 'fuse', 100),
      cable('positive lead', 16, 1.2),
      device('breaker', 'breaker', 100),
      joint('lug', 'positive terminal lug'),
    ],
    negative: [
      joint('lug', 'negative lug'),
      device('shunt', 'shunt', 300),
      cable('negative lead', 16, 1.2),
      joint('lug', 'negative terminal lug'),
    ],
    ambient: 22,
    assignments: onSine,
  },
  g12: {
    id: id(),
    version: 1,
    savedAt: made,
    name: 'G12, 25 mm² leads',
    bank: stationBanks.g12,
    positive: [
      joint('jaw clamp', 'positive jaw'),
      device('fuse', 'fuse', 125),
      cable('positive lead', 25, 1.2),
      joint('lug', 'positive terminal lug'),
    ],
    negative: [
      joint('jaw clamp', 'negative jaw'),
      cable('negative lead', 25, 1.2),
      joint('lug', 'negative terminal lug'),
    ],
    ambient: 16,
    assignments: onStepped,
  },
  l48: {
    id: id(),
    version: 1,
    savedAt: made,
    name: 'L48, 50 mm² leads',
    bank: stationBanks.l48,
    ...onFifty(),
    ambient: 14,
    assignments: onSplit,
  },
  l48Legs: {
    id: id(),
    version: 1,
    savedAt: made,
    name: 'L48, each leg read',
    bank: stationBanks.l48,
    ...onFifty(),
    ambient: 15,
    assignments: onLegs,
  },
  corrick: {
    id: id(),
    version: 1,
    savedAt: made,
    name: 'Corrick on the bench',
    bank: {
      name: 'its store',
      strings: [
        [
          {
            id: id(),
            name: 'store',
            chemistry: 'lithium iron phosphate',
            nominal: 25.6,
            capacity: 40.6,
            open: false,
          },
        ],
      ],
      join: { kind: 'in line', positive: [], negative: [], positiveAt: 0, negativeAt: 0 },
    },
    positive: [],
    negative: [],
    ambient: 22,
    assignments: [
      { quantity: 'V_C', meter: m.plug120.id },
      { quantity: 'P_C', meter: m.plug120.id },
      { quantity: 'E_C', meter: m.plug120.id },
      { quantity: 'P_wall', meter: m.wall120.id },
      { quantity: 'E_wall', meter: m.wall120.id },
      { quantity: 'V_in', meter: m.solar.id },
      { quantity: 'I_in', meter: m.solar.id },
      { quantity: 'V_port', meter: m.usb.id },
      { quantity: 'I_port', meter: m.usb.id },
      { quantity: 'T', meter: m.thermocouples.id },
    ],
  },
} satisfies Record<string, StoredRig>

/** Ω that each kind of element truly has on the bench; cables by their own size, strung a little better than assumed. */
const truly = {
  lug: 0.00002,
  'jaw clamp': 0.00097,
  terminal: 0.00002,
  connector: 0.0001,
  fuse: 0.00015,
  breaker: 0.00015,
  shunt: 0.0002,
  isolator: 0.0001,
} as const
const trueStranding = 1.09

/** True resistance of every element of a rig, Ω, by id; those named in `but` have another one. */
export function pathTruth(rig: StoredRig, but: Readonly<Record<string, number>> = {}): Map<string, number> {
  return new Map(
    placed(rig).map(({ element }) => [
      element.id,
      but[element.name] ??
        (isCable(element)
          ? element.conductors.reduce(
              (sum, one) => sum + withEnds({ ...one, strandingFactor: trueStranding }),
              0,
            )
          : truly[element.kind]),
    ]),
  )
}

/** The bank behind its take-off, as it truly is: as stated. */
export function bankTruth(bank: Bank): Source {
  const source = bankSource(bank)
  if (!source) throw new Error(`Bank ${bank.name} has no closed way through it.`)
  return source
}
