import * as z from 'zod/mini'
import { answered, Id, plain, words } from './shared'

/** A device that was let in over the local network. */
const Device = z.object({
  id: Id,
  name: answered,
  letInAt: answered,
  seenAt: answered,
  shutOut: z.boolean(),
})
export type Device = z.infer<typeof Device>

/** How the bench stands on the local network. */
export const LanState = z.object({
  on: z.boolean(),
  /** Where devices reach it: "https://192.168.1.20:4601". */
  addresses: z.array(answered),
  /** SHA-256 of the certificate, in pairs, to compare with what the phone shows. */
  fingerprint: z.optional(answered),
  /** The first address as a code to scan, SVG. */
  code: z.optional(answered),
  hasPassphrase: z.boolean(),
  /** Shown this once, when it was made here. */
  madePassphrase: z.optional(answered),
  devices: z.array(Device),
})
export type LanState = z.infer<typeof LanState>

export const shortestPassphrase = 10

/** What a device that was let in may do, as it is told to the tester. */
export const devicesMay = [
  'read everything',
  'capture readings, attach photographs and files',
  'make and edit trials, units, meters, rigs, loads and settings',
] as const

/** What is done at the computer itself, whoever was let in. */
export const atTheComputer = [
  'let devices in and shut them out',
  'back up and restore',
  'delete anything',
  'load the demo',
] as const

/** Turns it on or off; a passphrase replaces the one before, and shuts out who came in by it where that is asked for. */
export const LanSwitch = z.object({
  on: z.boolean(),
  shutOut: z.optional(z.boolean()),
  passphrase: z.optional(
    plain('Passphrase', 200).check(
      z.trim(),
      z.minLength(shortestPassphrase, `Passphrase: ${shortestPassphrase} characters at least.`),
    ),
  ),
})

/** What a device says at the door. */
export const Knock = z.object({
  passphrase: plain('Passphrase', 200),
  name: words('Name of this device', 60),
})
