import * as z from 'zod/mini'
import { Gauge } from './conductors'
import { chargeSources } from './logs'
import { ModeName } from './modes'
import { Id, instant, matching, number, oneOf, positive, text, whole, words } from './shared'

/** What a label can promise. The list grows with the tests that can judge it. */
export const claimQuantities = [
  'continuous power',
  'surge power',
  'efficiency',
  'idle draw',
  'regulation',
  'THD',
  'wave',
  'output voltage',
  'frequency',
  'alarm voltage',
  'cutoff voltage',
  'overload trip',
  'recovery',
  'start-up time',
  'soft start',
  'ground-fault test',
  'search-mode draw',
  'transfer time',
  'energy',
  'run time',
  'port',
  'charge power',
  'charge time',
  'mode draw',
  'noise',
  'case temperature',
  'overload time',
  'cycles',
] as const
export const ClaimQuantity = oneOf('What is claimed', claimQuantities)
export type ClaimQuantity = z.infer<typeof ClaimQuantity>

const claimUnits = [
  'W',
  'kW',
  'VA',
  '%',
  'A',
  'V',
  'Hz',
  's',
  'ms',
  'min',
  'h',
  'Wh',
  'kWh',
  'Ah',
  'dB(A)',
  '°C',
  'cycles',
] as const
export const ClaimUnit = oneOf('Unit as printed', claimUnits)
export type ClaimUnit = z.infer<typeof ClaimUnit>

/** Schools of a label of energy: what its Wh are counted at (docs/method/endurance.md). */
export const energyMeanings = ['cells', 'after conversion', 'at the outlet'] as const

export const comparators = ['at least', 'at most', 'within ±'] as const
export const Comparator = oneOf('Comparator', comparators)
export type Comparator = z.infer<typeof Comparator>

/** A promise, as it is printed: value and unit are a quotation and are not converted in storage. */
export const Claim = z.object({
  id: Id,
  quantity: ClaimQuantity,
  comparator: Comparator,
  value: positive('Claimed value', 1e6),
  unit: ClaimUnit,
  /** For how long the promise holds, in seconds; absent: the label states no time. */
  duration: z.optional(positive('For how long', 1e6)),
  /** The load it is stated for, in watts; absent: the label states none. */
  load: z.optional(positive('At what load', 1e6)),
  /** Input volts it is stated for; absent: the label states none. */
  volts: z.optional(
    z
      .object({
        from: positive('Input volts from', 1000),
        to: positive('Input volts to', 1000),
      })
      .check(z.refine(({ from, to }) => from <= to, 'Input volts: from the lower to the higher.')),
  ),
  /** °C of the room that it is stated up to; absent: the label states none. */
  room: z.optional(number('Room, °C', -60, 120)),
  /** Of a split phase: promised of each leg by itself, not of both together. */
  eachLeg: z.optional(z.boolean()),
  /** The port it is promised of, and at what volts. */
  port: text('Port', 60),
  portVolts: z.optional(positive('Port volts', 1000)),
  /** The mode whose draw is promised. */
  mode: z.optional(ModeName),
  /** What a label of energy means; absent: it does not say. */
  means: z.optional(oneOf('What it means', energyMeanings)),
  /** What charges it, where a power or a time of charging is promised. */
  source: z.optional(oneOf('Charged by', chargeSources)),
  readWhere: words('Where it was read'),
})
export type Claim = z.infer<typeof Claim>

export const unitKinds = ['inverter', 'inverter-charger', 'power station'] as const
export const phases = ['single', 'split'] as const
export const waves = ['sine', 'stepped', 'unstated'] as const

const Provenance = z.object({
  how: oneOf('How it came', ['bought', 'lent', 'given by the maker'] as const),
  preProduction: z.boolean(),
  note: text('Note on where it came from', 500),
})

/** A thing in the box, or one that it needs and does not bring. */
const BoxLine = z.object({
  what: words('In the box'),
  count: z.optional(whole('How many', 0, 1000)),
  remark: text('Remark', 300),
  /** What must be bought before it works: "CR2032 of 3 V", "barrel plug 5.5 × 2.1 mm, 12 V, 24 W". */
  needs: text('To be bought', 300),
})

/** Cables that come with it, one way, and what protects them. */
const IncludedLeads = z.object({
  gauge: Gauge,
  /** m */
  length: positive('Lead length', 100),
  fuse: z.optional(positive('Fuse, A', 1e5)),
})

/** What a unit has besides its promises, or has not: "hardwiring terminals: no", "warranty: 3 years". */
const Feature = z.object({ what: words('Feature', 60), says: words('What of it', 200) })

/** Places that power comes out of, or goes in. */
const Outlet = z.object({
  what: words('Outlet or port', 60),
  count: z.optional(whole('How many', 1, 100)),
  /** What is printed at each: "15 A", "12 V 10 A", "100 W". */
  rated: text('Rated, each', 40),
  /** Of several with a common limit: its name and the limit, "USB block 100 W". */
  shares: text('Shares a limit', 60),
  remark: text('Remark', 300),
})

export const remarkKinds = ['wish', 'complaint', 'safety', 'workaround', 'open question'] as const

/** What a tester found worth saying of a unit in a trial of it, and what became of it. */
export const Remark = z.object({
  kind: oneOf('Kind of remark', remarkKinds),
  words: words('Remark', 500),
  settled: text('What became of it', 300),
  /** Of a wish: what there is now, and what there should be. */
  present: text('What there is', 120),
  wanted: text('What there should be', 120),
})
export type Remark = z.infer<typeof Remark>

/** How its neutral and its case are joined to earth, as far as it is known. */
export const bondings = ['floating', 'neutral bonded inside', 'bonds by itself', 'not known'] as const

/** The unit opened: only when it was unplugged and its link read dead. */
export const Opened = z.object({
  /** V across the internal link, as read before anything was touched. */
  link: number('Volts across the link', -1000, 1000),
  /** s since it was unplugged. */
  waited: z.optional(number('Waited, s', 0, 1e6)),
  meter: z.optional(Id),
  note: text('Note', 1000),
})
export type Opened = z.infer<typeof Opened>

const UnitFields = z.object({
  name: words('Name'),
  kind: oneOf('Kind', unitKinds),
  /** Nominal DC input, V; a power station has none. */
  inputVoltage: z.optional(positive('Nominal input', 1000)),
  /** Nominal AC output, V, and frequency, Hz, as labelled. */
  outputVoltage: positive('Nominal output', 1000),
  outputFrequency: positive('Output frequency', 1000),
  phase: oneOf('Phase arrangement', phases),
  /** The output wave as stated or seen. */
  wave: oneOf('Output wave', waves),
  provenance: z.optional(Provenance),
  revision: text('Revision', 60),
  dateCode: text('Date code', 60),
  firmware: text('Firmware', 60),
  price: z.optional(
    z.object({
      amount: number('Price', 0, 1e9),
      currency: words('Currency', 3),
      /** The day it was asked. */
      on: z.optional(matching(/^\d{4}-\d{2}-\d{2}$/, 'Price asked on: a day such as 2026-03-12.')),
    }),
  ),
  /** kg */
  mass: z.optional(positive('Mass', 1e5)),
  /** Length, width, height in metres. */
  size: z.optional(z.tuple([positive('Length', 100), positive('Width', 100), positive('Height', 100)])),
  note: text('Note'),
  /** The version for a market, where it matters what the box holds: "UK", "EU". */
  region: text('Regional version', 60),
  box: z.optional(z.array(BoxLine).check(z.maxLength(60, 'Box: 60 lines at most.'))),
  leads: z.optional(IncludedLeads),
  outlets: z.optional(z.array(Outlet).check(z.maxLength(40, 'Outlets: 40 lines at most.'))),
  features: z.optional(z.array(Feature).check(z.maxLength(60, 'Features: 60 at most.'))),
  bonding: z.optional(oneOf('Neutral and earth', bondings)),
  claims: z.array(Claim).check(z.maxLength(60, 'Claims: 60 at most.')),
})
const inputAsked = z.refine<z.infer<typeof UnitFields>>(
  ({ kind, inputVoltage }) => kind === 'power station' || inputVoltage !== undefined,
  { error: 'Nominal input: a number above 0 and up to 1000.', path: ['inputVoltage'] },
)
export const Unit = UnitFields.check(inputAsked)
export type Unit = z.infer<typeof Unit>

export const StoredUnit = z
  .extend(UnitFields, {
    id: Id,
    version: whole('Version', 1, 1e9),
    savedAt: instant('Saved'),
  })
  .check(inputAsked)
export type StoredUnit = z.infer<typeof StoredUnit>
