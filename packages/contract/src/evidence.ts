import * as z from 'zod/mini'
import { Id, number, oneOf, whole } from './shared'

/** What is read at the taps (docs/method/evidence.md). */
export const quantities = [
  'V_A',
  'I_bank',
  'V_B',
  'I',
  'P_B',
  'Q_B',
  'E_B',
  'V_C',
  'I_C',
  'P_C',
  'PF',
  'f',
  'THD',
  'T',
  'V_L1',
  'V_L2',
  'I_L1',
  'I_L2',
  'P_L1',
  'P_L2',
  'E_C',
  'P_wall',
  'E_wall',
  'V_in',
  'I_in',
  'P_in',
  'E_in',
  'V_port',
  'I_port',
] as const

/** Read on one leg of a split phase. */
export const legQuantities = ['V_L1', 'V_L2', 'I_L1', 'I_L2', 'P_L1', 'P_L2'] as const
export const Quantity = oneOf('Quantity', quantities)
export type Quantity = z.infer<typeof Quantity>

/** Idle current often has a meter of its own, so it is assigned apart. */
export const assignables = [...quantities, 'idle I'] as const
export type Assignable = (typeof assignables)[number]

/** How a value was come by: only measured decides a claim. */
export const grades = ['measured', 'display', 'estimated', 'observed'] as const
export const Grade = oneOf('Grade', grades)
export type Grade = z.infer<typeof Grade>

/** One value read at one moment, in SI units (PF and THD as fractions). */
export const Value = z.object({
  quantity: Quantity,
  value: number('Value', -1e7, 1e7),
  grade: Grade,
  /** The meter it was read on; the revision holds its specification. */
  meter: z.optional(Id),
  /** The range it stood on, where the meter has several that hold the value; absent: the smallest that does. */
  range: z.optional(Id),
  at: z.optional(z.iso.datetime()),
  /** Decimals as they were typed, in the unit shown, where zeros stood at the end: 12.370 has three. */
  decimals: z.optional(whole('Decimals', 0, 12)),
})
export type Value = z.infer<typeof Value>

export const Values = z.array(Value).check(z.maxLength(40, 'Values: 40 at most in one reading.'))

export const places = [
  'room',
  'case',
  'heat sink',
  'transistors',
  'transformer',
  'capacitors',
  'store',
  'plug',
  'part of the rig',
] as const

/** Temperatures beside the unit's own T, each tied to the place where it was felt for. */
export const Temperatures = z
  .array(
    z.object({
      place: oneOf('Place', places),
      /** The element, where it is a part of the rig. */
      part: z.optional(Id),
      celsius: number('Temperature, °C', -60, 500),
    }),
  )
  .check(z.maxLength(20, 'Temperatures: 20 at most in one reading.'))
export type Temperature = z.infer<typeof Temperatures>[number]

const shown = {
  inputVoltage: z.optional(number('Display, input V', 0, 2000)),
  outputVoltage: z.optional(number('Display, output V', 0, 2000)),
  outputPower: z.optional(number('Display, output W', 0, 1e6)),
  frequency: z.optional(number('Display, Hz', 0, 1000)),
}

/** What the unit itself shows; a claim, not a measurement. */
export const Display = z.object({
  ...shown,
  /** Half of what a figure jumped over, where it did not stand still: it is then its middle. */
  jumps: z.optional(z.object(shown)),
  /** Lamps or bars that were lit, where a display shows no figures. */
  loadBars: z.optional(whole('Bars of load', 0, 100)),
  chargeBars: z.optional(whole('Bars of charge', 0, 100)),
  /** How many it has in all, where that was noted. */
  loadBarsOf: z.optional(whole('Bars of load in all', 1, 100)),
  chargeBarsOf: z.optional(whole('Bars of charge in all', 1, 100)),
  /** Share of charge that it shows, 0 to 1. */
  charge: z.optional(number('Display, charge', 0, 1)),
})
export type Display = z.infer<typeof Display>
