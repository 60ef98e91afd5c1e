import { isFigure, say } from '../figures'
import { integrate, seriesFor, type Log } from '../logs'
import type { Notice } from '../oddities'
import { ranEmpty } from './ended'

/** A gauge’s reading beside what was left by energy, shares from 0 to 1. */
export interface GaugeCheck {
  readonly at: number
  readonly shown: number
  readonly left: number
}

/** Points of charge by which a gauge must be off to be odd. */
const clearlyOff = 0.05

/**
 * What a gauge showed over a run-down that went to its end, against the energy that was still to come (oddity 40): from the
 * watts of the log, scaled to its energy. Empty where it was not run empty.
 */
export function gaugeChecks(log: Log): GaugeCheck[] {
  const shown = seriesFor(log, 'charge')
  const rate = seriesFor(log, 'P_C') ?? seriesFor(log, 'P_B')
  if (!shown || !rate || !ranEmpty(log)) return []
  const points = [{ at: 0, value: rate.points[0]?.value ?? 0 }, ...rate.points]
  const end = log.ended?.at ?? log.seconds
  const all = integrate([
    ...points.filter(({ at }) => at <= end),
    { at: end, value: points.at(-1)?.value ?? 0 },
  ]).value
  if (!(all > 0)) return []
  return shown.points
    .filter(({ at }) => at <= end)
    .map(({ at, value }) => {
      const before = points.filter((point) => point.at <= at)
      const used = integrate([...before, { at, value: before.at(-1)?.value ?? 0 }]).value
      return { at, shown: value, left: 1 - used / all }
    })
}

/** The check at which a gauge was furthest off. */
export const worstOf = (checks: readonly GaugeCheck[]): GaugeCheck | undefined =>
  checks.reduce<GaugeCheck | undefined>(
    (worst, one) =>
      !worst || Math.abs(one.shown - one.left) > Math.abs(worst.shown - worst.left) ? one : worst,
    undefined,
  )

/** "9 points high at half charge". */
export const sayGauge = ({ shown, left }: GaugeCheck): string =>
  `it showed ${say(100 * shown, '%', 2)} when ${say(100 * left, '%', 2)} was left: ${say(Math.abs(100 * (shown - left)), 'points', 1)} ${shown > left ? 'high' : 'low'}`

/** 40: a gauge off against measured energy; of several run-downs the one that shows it most. */
export const noticeGaugeOff: Notice = ({ analysis }) => {
  const checks = analysis.logs.flatMap((log) => {
    const worst = worstOf(gaugeChecks(log))
    return worst && isFigure(log.energies.E_C.figure) ? [{ log, worst }] : []
  })
  const off = ({ worst }: (typeof checks)[number]) => Math.abs(worst.shown - worst.left)
  const [most] = checks.sort((a, b) => off(b) - off(a))
  if (!most || off(most) < clearlyOff) return []
  return [
    {
      number: 40,
      odd: `The gauge is off: ${sayGauge(most.worst)}.`,
      why: 'Who plans by it is left in the dark, or stops too early.',
      todo: 'Plan by measured energy; charge it full once and look whether its gauge learns.',
      at: { revision: analysis.record.revision.number, entry: most.log.entry.id },
    },
  ]
}
