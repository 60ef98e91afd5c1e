import type { LoadKind, StoredLoad } from '@even-watt/contract'
import { nearlyAll } from '../facts'
import { wattsAt } from '../loads'

/** One setting of a load on the shelf, before anything is plugged in. */
export interface Demand {
  readonly load: string
  readonly setting: string
  /** At the volts of the outlet. */
  readonly watts: number
  /** Of the rating, and how it stands to it; absent where the label promises no watts. */
  readonly rating?: { readonly share: number; readonly stands: 'below' | 'near' | 'beyond' }
  /** Why an efficiency read with it says less; absent of elements. */
  readonly spoils?: string
}

const spoiling: Readonly<Record<LoadKind, string | undefined>> = {
  element: undefined,
  filament: undefined,
  electronic: 'Its amps are not in step with its volts: only a wattmeter tells its watts.',
  'induction motor': 'Its amps lag, and its watts wander with what it drives.',
  'brush motor': 'Its watts wander with what it drives.',
  microwave: 'It works in bursts, and its amps are far from a sine.',
  'half-wave': 'It draws from one half of the wave only.',
  mixed: 'Nobody knows which part of it draws what.',
}

/** From this power factor on, volts times amps are watts near enough. */
const nearlyOne = 0.97

function spoils({ kind, powerFactor }: Pick<StoredLoad, 'kind' | 'powerFactor'>): string | undefined {
  return powerFactor !== undefined && powerFactor >= nearlyOne ? undefined : spoiling[kind]
}

/**
 * Every setting of the tester’s own loads at the volts of an outlet, the lightest first; each below a rating, W, near it (from 90 %
 * of it on) or beyond it; with why it spoils a measurement of efficiency (docs/method/plan.md).
 */
export function demandsOf(loads: readonly StoredLoad[], V: number, rated: number | undefined): Demand[] {
  return loads
    .flatMap((load) =>
      load.settings.map(({ name, watts: label }): Demand => {
        const watts = wattsAt(label, load.volts, load.kind, V)
        const why = spoils(load)
        return {
          load: load.name,
          setting: name,
          watts,
          ...(rated
            ? {
                rating: {
                  share: watts / rated,
                  stands: watts > rated ? 'beyond' : watts >= nearlyAll * rated ? 'near' : 'below',
                },
              }
            : {}),
          ...(why ? { spoils: why } : {}),
        }
      }),
    )
    .sort((a, b) => a.watts - b.watts)
}
