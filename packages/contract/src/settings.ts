import * as z from 'zod/mini'
import { oneOf, whole, words } from './shared'
import { Columns, OwnLimits } from './catalogue'
import { mainsSystems } from './mains'
import { SuitRules } from './suits'

/** What a bench is asked once, and every new unit begins with. */
export const Settings = z.object({
  mains: oneOf('Mains', mainsSystems),
  currency: words('Currency', 3),
  /** Units in which plain numbers are typed, and figures shown; absent: SI, with a decimal point. */
  length: z.optional(oneOf('Lengths', ['m', 'ft'] as const)),
  temperature: z.optional(oneOf('Temperatures', ['°C', '°F'] as const)),
  mass: z.optional(oneOf('Masses', ['kg', 'lb'] as const)),
  gauge: z.optional(oneOf('Cable sizes', ['mm²', 'AWG'] as const)),
  torque: z.optional(oneOf('Torques', ['N·m', 'lb·in'] as const)),
  /** The shaft power that a motor’s nameplate prints. */
  motors: z.optional(oneOf('Motors', ['W', 'hp'] as const)),
  decimal: z.optional(oneOf('Decimal mark', ['.', ','] as const)),
  /** Uses that units are asked to suit; absent: those that a bench begins with. */
  suits: z.optional(SuitRules),
  /** Columns of steps in trials that chose none, and limits that hold in all trials. */
  columns: z.optional(Columns),
  ownLimits: z.optional(OwnLimits),
})
export type Settings = z.infer<typeof Settings>

/** As they are stored: an edit carries the version it was made from. */
export const StoredSettings = z.extend(Settings, { version: whole('Version', 1, 1e9) })
export type StoredSettings = z.infer<typeof StoredSettings>
