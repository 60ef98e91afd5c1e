import * as z from 'zod/mini'
import { Id, number, oneOf, positive, text, whole, words } from './shared'

export const chemistries = [
  'lithium iron phosphate',
  'other lithium',
  'AGM',
  'gel',
  'flooded lead-acid',
  'not known',
] as const
export const Chemistry = oneOf('Chemistry', chemistries)
export type Chemistry = z.infer<typeof Chemistry>

export const Battery = z.object({
  id: Id,
  name: words('Battery', 60),
  chemistry: Chemistry,
  nominal: positive('Nominal volts', 1000),
  /** Absent: not known, so that neither energy nor state of charge can be followed. */
  capacity: z.optional(positive('Capacity, Ah', 1e5)),
  /** Hours of discharge that the capacity is stated for; absent: 20 of lead-acid. */
  rateHours: z.optional(positive('Capacity stated for, h', 200)),
  /** Peukert's exponent of a lead-acid battery; absent: usual for its kind. */
  peukert: z.optional(number('Peukert exponent', 1, 2)),
  /** Share of the capacity that a lithium battery gives at this rate and temperature, as its maker states. */
  derating: z.optional(number('Derating, share', 0.05, 1)),
  /** Open-circuit volts, rested; absent: assumed from the chemistry. */
  rest: z.optional(positive('Rest volts', 1000)),
  /** Resistance at 10 s, Ω, from a label or a short load test; absent: not known. */
  resistance: z.optional(positive('Internal resistance, Ω', 10)),
  /** What its own protection (BMS) carries, A. */
  limit: z.optional(positive('BMS limit, A', 1e5)),
  age: z.optional(number('Age, years', 0, 100)),
  /** Dead, switched off or cut off by its BMS: it carries nothing. */
  open: z.boolean(),
})
export type Battery = z.infer<typeof Battery>

const resistance = (what: string) => positive(`${what}, Ω`, 10)

/** A link between neighbours; null: open. */
const Link = z.nullable(resistance('Link'))

/** Neighbours joined one after another; the leads of the unit are taken off at any of them. */
const InLine = z.object({
  kind: z.literal('in line'),
  /** Between string i and i + 1. */
  positive: z.array(Link).check(z.maxLength(15)),
  negative: z.array(Link).check(z.maxLength(15)),
  /** The string whose post each lead is on, counted from 0. */
  positiveAt: whole('Positive take-off', 0, 15),
  negativeAt: whole('Negative take-off', 0, 15),
})

/** Each string has leads of its own to a pair of busbars: both together, Ω. */
const Busbars = z.object({
  kind: z.literal('busbars'),
  leads: z.array(resistance('Leads to the busbars')).check(z.maxLength(16)),
})

const Join = z.discriminatedUnion('kind', [InLine, Busbars], 'Arrangement: in line or busbars.')

export const Bank = z
  .object({
    name: words('Bank', 60),
    /** In parallel; the batteries of a string are in series. */
    strings: z
      .array(
        z.array(Battery).check(z.minLength(1, 'String: a string has at least one battery.'), z.maxLength(16)),
      )
      .check(
        z.minLength(1, 'Batteries: a bank has at least one.'),
        z.maxLength(16, 'Strings: 16 at most in parallel.'),
      ),
    join: Join,
    /** Share of the capacity that may be used, 0 to 1. */
    usableShare: z.optional(number('Usable share', 0.01, 1)),
    /** Ohmic resistance at ripple frequency, Ω; known: the ripple correction is on. */
    rippleResistance: z.optional(positive('Ripple resistance, Ω', 10)),
  })
  .check(
    z.refine(
      ({ strings, join }) =>
        join.kind === 'busbars'
          ? join.leads.length === strings.length
          : join.positive.length === strings.length - 1 && join.negative.length === strings.length - 1,
      'Links: one is needed between each two neighbours, or leads for each string to the busbars.',
    ),
    z.refine(
      ({ strings, join }) =>
        join.kind === 'busbars' || Math.max(join.positiveAt, join.negativeAt) < strings.length,
      'Take-off: it names a battery that is not there.',
    ),
  )
export type Bank = z.infer<typeof Bank>

/** Carries current beside the bank, up to its limit, at the posts. */
export const Support = z.object({
  kind: oneOf('Support source', ['charger', 'alternator'] as const),
  name: words('Support source', 60),
  /** A it can give. */
  current: positive('Its current, A', 1e4),
  /** A that the engine and vehicle take of it. */
  ownUse: number('What the engine itself uses, A', 0, 1e4),
})
export type Support = z.infer<typeof Support>

/** A short load test of one battery, or of the whole bank (docs/method/supply.md). */
export const LoadTest = z
  .object({
    /** The battery's id; absent: the whole bank, at tap A. */
    battery: z.optional(Id),
    /** Volts and amps before, at 10 s, and volts once recovered; without an ammeter the unit’s output watts instead. */
    restVoltage: positive('Rest volts', 1000),
    restCurrent: number('Current at rest, A', -1000, 10_000),
    loadedVoltage: positive('Volts at 10 s', 1000),
    loadedCurrent: z.optional(positive('Amps at 10 s', 10_000)),
    loadedPower: z.optional(positive('Output watts at 10 s', 1e6)),
    recoveredVoltage: z.optional(positive('Volts recovered', 1000)),
    voltmeter: z.optional(Id),
    ammeter: z.optional(Id),
    wattmeter: z.optional(Id),
    note: text('Note', 1000),
  })
  .check(
    z.refine(({ loadedCurrent, loadedPower }) => loadedCurrent !== undefined || loadedPower !== undefined, {
      error: 'Amps at 10 s: type them, or without an ammeter the watts at the outlet.',
      path: ['loadedCurrent'],
    }),
  )
export type LoadTest = z.infer<typeof LoadTest>
