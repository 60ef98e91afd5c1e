import type { ChargingOf } from '@even-watt/contract'
import { formatNumber, plain } from '../figures'

/** What a charging input stands and takes, by its label. */
export interface InputLimits {
  readonly volts: number | undefined
  readonly amps: number | undefined
  readonly watts: number | undefined
  /** V from which it charges at all. */
  readonly from: number | undefined
}

/** One way to join panels. */
export interface Joined {
  readonly inSeries: number
  readonly inParallel: number
  /** V open on the coldest morning; A short; W that are expected of it, within what the input takes. */
  readonly coldVolts: number
  readonly shortAmps: number
  readonly watts: number
  /** Why it must not, or hardly may, be joined so; empty: it fits. */
  readonly against: readonly string[]
  readonly forbidden: boolean
}

type Panel = Pick<
  ChargingOf<'panel'>,
  'owned' | 'openVolts' | 'shortAmps' | 'watts' | 'perKelvin' | 'coldest'
>

/** °C that a panel’s label is stated for. */
const stated = 25
/** Share of its label that a panel gives on a good day: it is hot, and the sun not straight. */
const goodDay = 0.75
/** Open volts over those at its best. */
const openOverBest = 1.22

/** V open at the coldest: n_s·V_oc·(1 + β·(T_min − 25)), β in %/K (docs/method/charging.md). */
export const coldVolts = ({ openVolts, perKelvin, coldest }: Panel, inSeries: number): number =>
  inSeries * openVolts * (1 + (perKelvin / 100) * (coldest - stated))

/**
 * Every way to join the panels that are owned, in series and in parallel, against what the input stands: the most watts
 * first, those that would harm it last.
 */
export function joinPanels(panel: Panel, limits: InputLimits): Joined[] {
  const ways: Joined[] = []
  for (let inSeries = 1; inSeries <= panel.owned; inSeries++)
    for (let inParallel = 1; inSeries * inParallel <= panel.owned; inParallel++) {
      const cold = coldVolts(panel, inSeries)
      const amps = inParallel * panel.shortAmps
      const all = inSeries * inParallel * panel.watts * goodDay
      const best = (inSeries * panel.openVolts) / openOverBest
      const forbidden = limits.volts !== undefined && cold > limits.volts
      const carried = limits.amps === undefined ? all : Math.min(all, limits.amps * best)
      const against = [
        ...(forbidden
          ? [`${formatNumber(cold, 1)} V when it is cold is over the ${plain(limits.volts)} V that it stands`]
          : []),
        ...(limits.from !== undefined && best < limits.from
          ? [`${formatNumber(best, 1)} V at its best is under the ${plain(limits.from)} V that it needs`]
          : []),
        ...(limits.amps !== undefined && amps > limits.amps
          ? [`of ${formatNumber(amps, 1)} A it takes only ${plain(limits.amps)} A`]
          : []),
        ...(limits.watts !== undefined && carried > limits.watts
          ? [`of ${formatNumber(carried, 0)} W it takes only ${plain(limits.watts)} W`]
          : []),
      ]
      const starved = limits.from !== undefined && best < limits.from
      ways.push({
        inSeries,
        inParallel,
        coldVolts: cold,
        shortAmps: amps,
        watts: starved ? 0 : Math.min(carried, limits.watts ?? Infinity),
        against,
        forbidden,
      })
    }
  return ways.sort(
    (a, b) =>
      Number(a.forbidden) - Number(b.forbidden) ||
      b.watts - a.watts ||
      a.inSeries * a.inParallel - b.inSeries * b.inParallel,
  )
}
