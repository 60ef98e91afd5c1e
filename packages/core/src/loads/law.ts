import type { LoadKind } from '@even-watt/contract'

/** P against V (docs/method/loads.md): the exponent of each kind of load. A microwave lies between constant and V². */
export const exponents: Record<LoadKind, number> = {
  element: 2,
  filament: 1.55,
  electronic: 0,
  'induction motor': 0,
  'brush motor': 2,
  microwave: 1,
  'half-wave': 2,
  mixed: 1,
}

/** Watts at V of a load that takes `watts` at its label volts. */
export const wattsAt = (watts: number, volts: number, kind: LoadKind, V: number): number =>
  watts * (V / volts) ** exponents[kind]
