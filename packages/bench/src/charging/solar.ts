import { seeded } from '../random'

/** Panels by their label, and what hangs between them and the store. */
export interface SolarModel {
  readonly openVolts: number
  readonly shortAmps: number
  /** Share of open volts and short amps at its best point. */
  readonly bestVolts: number
  readonly bestAmps: number
  /** W that the input takes at most. */
  readonly most: number
  /** W under which its tracker hunts: it lets go and tries again. */
  readonly hunts: number
}

export interface SolarMoment {
  readonly at: number
  readonly irradiance: number
  readonly volts: number
  readonly amps: number
}

/** Clear sky over some hours around noon, W/m², at a time from its beginning, s. */
const clearSky = (at: number, hours: number, peak: number): number =>
  peak * Math.max(0, Math.sin((Math.PI * (at + 0.12 * hours * 3600)) / (hours * 3600 * 1.24)))

/** An afternoon of sun with clouds that pass, every `step` seconds. */
export function solarAfternoon(
  model: SolarModel,
  { hours, peak, seed, step = 60 }: { hours: number; peak: number; seed: number; step?: number },
): SolarMoment[] {
  const random = seeded(seed)
  const moments: SolarMoment[] = []
  let [cloud, until] = [1, 0]
  for (let at = 0; at <= hours * 3600; at += step) {
    if (at >= until) {
      cloud = cloud < 1 ? 1 : random.next() < 0.35 ? 0.15 + 0.35 * random.next() : 1
      until = at + (cloud < 1 ? 120 + 500 * random.next() : 500 + 1500 * random.next())
    }
    const irradiance = clearSky(at, hours, peak) * cloud
    const light = irradiance / 1000
    const volts = model.openVolts * model.bestVolts * (1 + 0.04 * Math.log(Math.max(0.02, light)))
    const watts = volts * model.shortAmps * model.bestAmps * light
    // In little light its tracker lets go, and tries again some minutes later.
    const letsGo = watts < model.hunts && random.next() < 0.4
    const taken = letsGo ? 0.02 * watts : Math.min(watts, model.most)
    const held = letsGo ? 0.98 * model.openVolts : watts > model.most ? volts * 1.03 : volts
    moments.push({ at, irradiance, volts: held, amps: held > 0 ? taken / held : 0 })
  }
  return moments
}

/** Watts of a wall charger against the share that is in: steady, then tapering. */
function wallWatts(share: number, { most, tapersFrom }: { most: number; tapersFrom: number }): number {
  if (share < tapersFrom) return most
  return Math.max(0, most * Math.exp((-4 * (share - tapersFrom)) / (1 - tapersFrom)))
}

/** A charge from the wall: every `step` seconds what is taken and what is in, until it takes next to nothing. */
export function wallCharge(
  {
    capacity,
    efficiency,
    most,
    tapersFrom,
  }: { capacity: number; efficiency: number; most: number; tapersFrom: number },
  step = 60,
): { at: number; watts: number; share: number }[] {
  const moments: { at: number; watts: number; share: number }[] = []
  let share = 0
  for (let at = 0; at < 24 * 3600; at += step) {
    const watts = wallWatts(share, { most, tapersFrom })
    moments.push({ at, watts, share })
    if (watts < 0.03 * most) break
    share = Math.min(1, share + (watts * efficiency * step) / 3600 / capacity)
  }
  return moments
}
