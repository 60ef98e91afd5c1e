import type { DutyLine } from '@even-watt/contract'
import { formatNumber, isFigure, sayDuration, sayFigure, type Derived } from '../figures'
import { byHeat, meanWatts, ranFor, type Log } from '../logs'
import type { Analysis } from '../trials'
import { claimOf, claimValue } from '../units'
import { ranEmpty, whyEnded } from './ended'
import { predictEnds, type Predicted } from './predict'
import { rateOf, sayCircumstances, storeTemperature } from './rate'

/** A run-down with what it came to. */
export interface RunDown {
  readonly log: Log
  readonly watts: number | undefined
  /** At the outlet. */
  readonly delivered: Derived
  /** Of the energy on the label, 0 to 1. */
  readonly share: number | undefined
  /** s that it ran, without what stood between. */
  readonly ran: number
  /** The same without gaps in which nothing was read: it may have stood in them. */
  readonly watched: number
  /** Its log begins late: what it gave before is not counted. */
  readonly late: boolean
  /** Stops after which it went on. */
  readonly stops: number
  readonly why: string | undefined
  readonly complete: boolean
  readonly predicted: Predicted | undefined
  readonly sentence: string
}

/** The run-downs of one rig, in order of time. */
export function runDownsOf(analysis: Analysis): RunDown[] {
  const { unit } = analysis.record.revision
  const claim = claimOf(unit, 'energy')
  const label = claim && claim.unit !== 'Ah' ? claimValue(claim) : undefined
  const all = analysis.logs.filter(({ entry }) => entry.reading.what === 'run-down')
  return all.map((log, i): RunDown => {
    const delivered = log.energies.E_C.figure
    const ran = ranFor(log)
    const stops = Math.max(0, log.segments.length - 1)
    const share = label && isFigure(delivered) ? delivered.x.value / label : undefined
    const why = whyEnded(log, analysis)
    const watts = meanWatts(log)
    return {
      log,
      watts,
      delivered,
      share,
      ran,
      watched: ran - unwatched(log),
      late: beganLate(log),
      stops,
      why,
      complete: ranEmpty(log),
      predicted: predictEnds(log, all.slice(0, i), analysis),
      sentence: [
        sentenceOf(log, { delivered, share, ran, stops, why, watts, label }),
        sayCircumstances(rateOf(log, { ran, watts, label }, analysis), storeTemperature(log)),
      ]
        .filter(Boolean)
        .join(' '),
    }
  })
}

/** Share of a run that may pass between two readings, and that a log may begin late by. */
const gapShare = 0.2
const lateShare = 0.02

/** s within its running in which nothing was read for longer than a fifth of it; a counter that ran on closes a gap. */
function unwatched({ series, segments, seconds, energies }: Log): number {
  if (energies.E_C.counted && (energies.E_C.E_n ?? 0) <= 1) return 0
  const all = series.filter(({ points, battery }) => battery === undefined && points.length > 1)
  // Hands look seldom, and see whether it still runs: a table whose rows lack says nothing.
  const rows = all.filter(({ from }) => from === 'file')
  const times = [...new Set(rows.flatMap(({ points }) => points.map(({ at }) => at)))].sort((a, b) => a - b)
  if (times.length < 2) return 0
  const inside = (from: number, to: number) =>
    segments.some((one) => from >= one.from - 1 && to <= one.to + 1)
  return times
    .slice(1)
    .map((at, i) => ({ from: times[i] as number, to: at }))
    .filter(({ from, to }) => to - from > gapShare * seconds && inside(from, to))
    .reduce((sum, { from, to }) => sum + to - from, 0)
}

/** Whether a table begins long after its log did. */
const beganLate = ({ series, seconds }: Log): boolean => {
  const watts = series.filter(({ quantity }) => quantity === 'P_C' || quantity === 'P_B' || quantity === 'I')
  const [best] = watts.sort((a, b) => b.points.length - a.points.length)
  return best?.from === 'file' && (best.points[0]?.at ?? 0) > lateShare * seconds
}

function sentenceOf(
  log: Log,
  {
    delivered,
    share,
    ran,
    stops,
    why,
    watts,
    label,
  }: Pick<RunDown, 'delivered' | 'share' | 'ran' | 'stops' | 'why' | 'watts'> & { label: number | undefined },
): string {
  const at = watts === undefined ? (log.entry.reading.load ?? 'a load') : `${formatNumber(watts, 0)} W`
  const time = sayDuration(60 * Math.round(ran / 60))
  const rested = stops ? stopsOf(log) : ''
  const energy = isFigure(delivered)
    ? `${log.ended ? 'It gave' : 'So far it gave'} ${sayFigure(delivered)}${label && share !== undefined ? ` of ${formatNumber(label, 0)} Wh (${formatNumber(100 * share, 0)} %)` : ''}`
    : log.ended
      ? 'It ran'
      : 'So far it ran'
  return `${energy} at ${at}, in ${time}${rested}. ${why ?? ''}`.trim()
}

/** "; heat stopped it at 51 min, for 9 min". */
function stopsOf({ segments, events }: Log): string {
  const minutes = (s: number) => sayDuration(60 * Math.max(1, Math.round(s / 60)))
  return segments
    .slice(0, -1)
    .map(({ to }, i) => {
      const event = events.find(({ at, what }) => what === 'stopped' && Math.abs(at - to) < 120)
      const by = event && byHeat(event) ? 'heat stopped it' : 'it stopped'
      return `; ${by} at ${minutes(to)}, for ${minutes((segments[i + 1]?.from ?? to) - to)}`
    })
    .join('')
}

/** Wh at the outlet against watts, of run-downs that went to their end, the smallest load first. */
export const deliveredCurve = (
  runDowns: readonly RunDown[],
): { watts: number; Wh: number; stopped: boolean; log: Log }[] =>
  runDowns
    .flatMap(({ watts, delivered, complete, log }) =>
      watts !== undefined && isFigure(delivered) && log.ended
        ? [{ watts, Wh: delivered.x.value, stopped: !complete, log }]
        : [],
    )
    .sort((a, b) => a.watts - b.watts)

/**
 * Hours that an owner’s load runs, from delivered Wh against load: straight between loads that were run down, and as the
 * nearest of them beyond. Undefined without one, or at no load.
 */
export function hoursAt(curve: readonly { watts: number; Wh: number }[], watts: number): number | undefined {
  const [first, last] = [curve[0], curve.at(-1)]
  if (!first || !last || !(watts > 0)) return undefined
  const after = curve.findIndex((point) => point.watts >= watts)
  const [b, a] = [curve[after], curve[after - 1]]
  if (!b) return last.Wh / watts
  if (!a) return first.Wh / watts
  return (a.Wh + ((b.Wh - a.Wh) * (watts - a.watts)) / (b.watts - a.watts)) / watts
}

/** Mean watts of a day’s duty; undefined without one. */
export function dutyWatts(duty: readonly DutyLine[]): number | undefined {
  const hours = duty.reduce((sum, line) => sum + line.hours, 0)
  const energy = duty.reduce((sum, line) => sum + line.hours * line.load, 0)
  return hours > 0 && energy > 0 ? energy / hours : undefined
}

const folds = 0.03
const steady = 0.015

/**
 * Derating: the watts fall while the load’s resistance V²/P has not moved. Where it begins, s; undefined: it does not, or its
 * volts were not read.
 */
export function deratesFrom({
  series,
}: Pick<Log, 'series'>): { at: number; from: number; to: number } | undefined {
  const [P, V] = ['P_C', 'V_C'].map((quantity) => series.find((one) => one.quantity === quantity))
  if (!P || !V) return undefined
  const volts = new Map(V.points.map(({ at, value }) => [at, value]))
  const read = P.points.flatMap(({ at, value }) => {
    const v = volts.get(at)
    return v && value > 0 ? [{ at, watts: value, ohms: v ** 2 / value }] : []
  })
  const [first] = read
  if (!first || read.length < 4) return undefined
  const fallen = read.filter(
    ({ watts, ohms }) => watts < first.watts * (1 - folds) && Math.abs(ohms / first.ohms - 1) < steady,
  )
  const [begins] = fallen
  const lowest = fallen.reduce((least, { watts }) => Math.min(least, watts), Infinity)
  return begins && fallen.length > 1 ? { at: begins.at, from: first.watts, to: lowest } : undefined
}
