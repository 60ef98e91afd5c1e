import * as z from 'zod/mini'
import { chargeSources } from './logs'
import { Values } from './evidence'
import { number, oneOf, positive, text, whole, words } from './shared'

const note = { note: text('Note', 1000) }

/** What is taken by a charging input at one setting of its source (docs/method/charging.md). */
const Input = z.object({
  test: z.literal('input'),
  source: oneOf('Charged by', chargeSources),
  values: Values,
  /** W/m² on the panels. */
  irradiance: z.optional(number('Irradiance, W/m²', 0, 2000)),
  /** °C of the panels. */
  panelHeat: z.optional(number('Panels, °C', -40, 120)),
  /** What else charged it at the same time. */
  beside: text('Beside it', 200),
  ...note,
})

/** A panel that the tester owns, by its label. */
const Panel = z.object({
  test: z.literal('panel'),
  name: words('Panel', 80),
  /** How many of them there are. */
  owned: whole('How many', 1, 100),
  openVolts: positive('Open-circuit volts', 1000),
  shortAmps: positive('Short-circuit amps', 1000),
  watts: positive('Watts at its best', 1e5),
  /** %/K of its open-circuit volts, below 0. */
  perKelvin: number('Change of volts, %/K', -2, 0),
  /** °C of the coldest morning. */
  coldest: number('Coldest, °C', -60, 60),
  ...note,
})

export const ChargingReading = z.discriminatedUnion(
  'test',
  [Input, Panel],
  'Test of charging: one of input, panel.',
)
export type ChargingReading = z.infer<typeof ChargingReading>
export type ChargingOf<T extends ChargingReading['test']> = Extract<ChargingReading, { test: T }>
