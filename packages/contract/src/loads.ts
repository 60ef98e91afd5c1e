import * as z from 'zod/mini'
import { Id, instant, number, oneOf, plain, positive, text, whole, words } from './shared'

/** Kinds of load, by how their watts follow the voltage (docs/method/loads.md). */
export const loadKinds = [
  'element',
  'filament',
  'electronic',
  'induction motor',
  'brush motor',
  'microwave',
  'half-wave',
  'mixed',
] as const
export const LoadKind = oneOf('Kind of load', loadKinds)
export type LoadKind = z.infer<typeof LoadKind>

/** One way a load can be set, with the watts on its label. */
const LoadSetting = z.object({
  id: Id,
  name: plain('Setting', 60).check(z.trim()),
  watts: positive('Label watts', 20_000),
})

/** Locked-rotor code letters of nameplates (docs/method/motors.md). */
const codeLetters = [
  'A',
  'B',
  'C',
  'D',
  'E',
  'F',
  'G',
  'H',
  'J',
  'K',
  'L',
  'M',
  'N',
  'P',
  'R',
  'S',
  'T',
  'U',
  'V',
] as const

/** What the plate on a machine says. */
const Nameplate = z.object({
  current: z.optional(positive('Nameplate current, A', 1000)),
  horsepower: z.optional(positive('Horsepower', 100)),
  code: z.optional(oneOf('Code letter', codeLetters)),
})
export type Nameplate = z.infer<typeof Nameplate>

/** An appliance of the tester's own (docs/method/loads.md). */
export const Load = z.object({
  name: words('Name'),
  kind: LoadKind,
  /** Label volts. */
  volts: positive('Label volts', 1000),
  settings: z
    .array(LoadSetting)
    .check(z.minLength(1, 'Settings: a load has at least one.'), z.maxLength(12, 'Settings: 12 at most.')),
  powerFactor: z.optional(number('Power factor', 0.05, 1)),
  /** Worst-cycle RMS current over running current. */
  inrush: z.optional(number('Inrush, times running', 1, 50)),
  nameplate: z.optional(Nameplate),
  /** Factor by which a soft starter or start assist divides its inrush. */
  assist: z.optional(number('Soft starter divides by', 1, 20)),
  /** Watts when cold over watts when settled, and the time constant between, s. */
  warmUp: z.optional(
    z.object({ cold: number('Cold over settled', 0.2, 5), seconds: positive('Warm-up, s', 86_400) }),
  ),
  /** A that its cord or outlet carries. */
  cord: z.optional(positive('Cord limit, A', 1000)),
  /** Too loud for the sound test. */
  loud: z.boolean(),
  note: text('Note'),
})
export type Load = z.infer<typeof Load>

export const StoredLoad = z.extend(Load, {
  id: Id,
  version: whole('Version', 1, 1e9),
  savedAt: instant('Saved'),
})
export type StoredLoad = z.infer<typeof StoredLoad>

/** A load and the setting it is on. */
export const LoadUse = z.object({ load: Id, setting: Id })
export type LoadUse = z.infer<typeof LoadUse>

/** What a setting really took in earlier trials, brought to its label volts. */
export const Taken = z.object({ setting: Id, watts: z.number(), spread: z.number(), times: z.number() })
export type Taken = z.infer<typeof Taken>

/** The load shelf as a document of its own. */
export const shelfFormat = 'even-watt-loads'
export const ShelfDocument = z.object({
  format: z.literal(shelfFormat, `Format: this is not an Even Watt load shelf ("${shelfFormat}").`),
  formatVersion: z.literal(1),
  loads: z.array(StoredLoad).check(z.maxLength(1000, 'Loads: 1000 at most.')),
})
export type ShelfDocument = z.infer<typeof ShelfDocument>
