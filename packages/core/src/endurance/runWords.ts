import { isFigure, say, sayDuration, sayTemperature } from '../figures'
import { efficiencyAt, hasFit, reachesOutside } from '../ladder'
import { meanWatts, seriesFor, type Log, type Point } from '../logs'
import type { Analysis } from '../trials'
import { bankEnergy } from '../supply'
import { claimedValue, isStation, ratedPower } from '../units'
import { courseOf } from './course'
import { fanOf } from './fan'
import { ranEmpty } from './ended'

const minutes = (s: number) => sayDuration(60 * Math.max(1, Math.round(s / 60)))
const percent = (share: number) => say(100 * share, '%', 2)

/** What a run was, in sentences, beside its energies and places: watts, volts, fan, cooling, and what follows from its store. */
export const runWords = (log: Log, analysis: Analysis): string[] => [
  ...wattWords(log, analysis),
  ...outputWords(log),
  ...inputWords(log),
  ...totalWords(log),
  ...againstPromises(log, analysis),
  ...projected(log),
  ...lighterWords(log, analysis),
  ...fanWords(log),
  ...coolingWords(log),
]

/** Up to its end: what is read afterwards is of its cooling. */
function during(log: Log, quantity: 'P_C' | 'V_C' | 'V_B' | 'V_A' | 'charge'): readonly Point[] {
  const end = log.ended?.at ?? log.seconds
  return (seriesFor(log, quantity)?.points ?? []).filter(({ at }) => at <= end)
}

/** Of a load that goes on, watts under this share of its mean have given way. */
const heldFrom = 0.97

function wattWords(log: Log, { record }: Analysis): string[] {
  const points = during(log, 'P_C')
  const course = courseOf(points)
  const watts = course?.mean ?? meanWatts(log)
  const rated = ratedPower(record.revision.unit)
  if (watts === undefined) return []
  const share =
    rated === undefined
      ? []
      : watts > rated
        ? [
            `It runs ${say(watts - rated, 'W')} (${percent(watts / rated - 1)}) over its rating: stay with it, and not for long.`,
          ]
        : [
            `That is ${percent(watts / rated)} of its rated ${say(rated, 'W')}${
              watts < 0.9 * rated ? '; it says nothing of the full rating' : ''
            }.`,
          ]
  if (!course) return share
  const { first, settled, least, middle, moved, trend } = course
  const last = points.at(-1)
  return [
    `${say(first, 'W')} at first, ${say(settled, 'W')} settled, ${say(least.value, 'W')} at the least (${minutes(least.at)}).`,
    ...share,
    trend
      ? `Its watts ${moved < 0 ? 'fell' : 'rose'} by ${percent(Math.abs(moved))}.`
      : 'Its watts only scattered.',
    ...(log.ended && last
      ? [
          last.value >= heldFrom * middle
            ? 'It held them to the end.'
            : `It did not hold them to the end: ${say(last.value, 'W')} at last.`,
        ]
      : []),
  ]
}

function outputWords(log: Log): string[] {
  const points = during(log, 'V_C')
  const course = courseOf(points)
  const last = points.at(-1)
  if (!course || !last) return []
  const { first, moved, trend } = course
  return [
    `Its output went from ${say(first, 'V', 4)} to ${say(last.value, 'V', 4)}${
      trend ? `: ${percent(Math.abs(moved))} ${moved < 0 ? 'down' : 'up'}` : ', which is scatter'
    }.`,
  ]
}

function inputWords(log: Log): string[] {
  const at = during(log, 'V_B').length ? ('V_B' as const) : ('V_A' as const)
  const points = during(log, at)
  if (points.length < 2) return []
  const least = points.reduce((low, point) => (point.value < low.value ? point : low))
  return [
    `Lowest ${at === 'V_B' ? 'at the terminals' : 'at the posts'}: ${say(least.value, 'V', 4)}, after ${minutes(least.at)}.`,
  ]
}

/** Shares by which counted totals may differ. */
const agree = 0.03

/** Ampere-hours and watt-hours of a run, held against each other by its mean volts. */
function totalWords(log: Log): string[] {
  const Wh = log.energies.E_B.figure
  const charge = seriesFor(log, 'Q_B')?.rise.value
  const volts = courseOf(during(log, 'V_B'))?.mean
  const hours = log.seconds / 3600
  if (!isFigure(Wh) || !(hours > 0)) return []
  const mean = `On average ${say(Wh.x.value / hours, 'W')} from the bank${volts === undefined ? '' : ` at ${say(volts, 'V', 4)}`}.`
  if (charge === undefined || volts === undefined || !(charge > 0)) return [mean]
  const by = charge * volts
  return [
    mean,
    `${say(charge, 'Ah')} at ${say(volts, 'V', 4)} are ${say(by, 'Wh')}: ${
      Math.abs(by / Wh.x.value - 1) <= agree
        ? 'the totals agree'
        : `not the ${say(Wh.x.value, 'Wh')} that were counted`
    }.`,
  ]
}

/** Its efficiency against what is promised, and what it took against what its bank holds. */
function againstPromises(log: Log, { record }: Analysis): string[] {
  const { unit, rig } = record.revision
  const promised = claimedValue(unit, 'efficiency')
  const Wh = log.energies.E_B.figure
  const bank = isStation(unit) ? undefined : bankEnergy(rig.bank)
  return [
    ...(promised === undefined || !isFigure(log.efficiency)
      ? []
      : [
          `Over the run ${percent(log.efficiency.x.value)} came out of what went in; ${percent(promised)} are promised.`,
        ]),
    ...(bank && isFigure(Wh) && ranEmpty(log)
      ? [
          `It took ${percent(Wh.x.value / bank.Wh)} of the ${say(bank.Wh, 'Wh')} nominal of its bank, ${percent(Wh.x.value / bank.usable)} of what may be used.`,
        ]
      : []),
  ]
}

/** Share of charge that must be used before it tells what all of it is worth. */
const leastUsed = 0.1

/** What all of it would give, from what was delivered between two readings of the gauge. */
function projected(log: Log): string[] {
  const E = log.energies.E_C.figure
  const points = during(log, 'charge')
  const from = log.entry.reading.charge ?? points[0]?.value
  const to = points.at(-1)?.value
  if (!isFigure(E) || from === undefined || to === undefined || from - to < leastUsed || ranEmpty(log))
    return []
  return [
    `${say(E.x.value, 'Wh')} for ${say(100 * (from - to), 'points', 2)} of its gauge: by that ${say(E.x.value / (from - to), 'Wh')} from full to empty.`,
  ]
}

/** The same store at half the load, by the losses of the ladder. */
function lighterWords(log: Log, { ladder }: Analysis): string[] {
  const E = log.energies.E_B.figure
  const watts = meanWatts(log)
  const fit = ladder.unitFit
  if (!ranEmpty(log) || !isFigure(E) || watts === undefined || !hasFit(fit)) return []
  return [watts / 2, watts * 1.5]
    .filter((load) => !reachesOutside(fit, [load]))
    .map((load) => {
      const out = E.x.value * efficiencyAt(fit, load).value
      return `By the losses of the ladder the same store gives ${say(out, 'Wh')} at ${say(load, 'W')}, in ${say(out / load, 'h', 2)}.`
    })
}

/** s within which a fan that starts with the load did so by the load. */
const atOnce = 20

function fanWords(log: Log): string[] {
  const fan = fanOf(log)
  const noted = log.checkIns.some(({ entry: { reading } }) => reading.fan !== undefined)
  if (!fan) {
    const watts = meanWatts(log)
    return noted
      ? [`Its fan never ran${watts === undefined ? '' : `: none reached up to ${say(watts, 'W')}`}.`]
      : []
  }
  const states = log.checkIns.flatMap(({ at, entry: { reading } }) => {
    if (reading.event === 'fan on') return [{ at, on: true }]
    if (reading.event === 'fan off') return [{ at, on: false }]
    return reading.fan === undefined ? [] : [{ at, on: reading.fan !== 'off' }]
  })
  const stretches = states
    .slice(1)
    .map(({ at }, i) => ({ on: states[i]?.on ?? false, for: at - (states[i]?.at ?? 0) }))
  const all = stretches.reduce((sum, one) => sum + one.for, 0)
  const on = stretches.reduce((sum, one) => sum + (one.on ? one.for : 0), 0)
  const duty = all > 0 && fan.cycle !== undefined ? on / all : undefined
  return [
    ...(duty === undefined
      ? []
      : [
          `Its fan ran ${percent(duty)} of the time it was watched${duty < 0.9 ? ': it seems to have cooling to spare' : ''}.`,
        ]),
    ...(fan.seenToStart
      ? [
          fan.starts <= atOnce
            ? 'It started with the load: likely by load, not by heat.'
            : `It started after ${minutes(fan.starts)} of one load${fan.celsius === undefined ? '' : `, at ${sayTemperature(fan.celsius)}`}: likely by heat or by time, not by load.`,
        ]
      : []),
    ...(fan.runsOn === undefined
      ? []
      : [`It ran on for ${sayDuration(Math.round(fan.runsOn))} after the end.`]),
  ]
}

/** How long a place took to lose half of its rise. */
function coolingWords(log: Log): string[] {
  const { ended } = log
  if (!ended) return []
  const room = seriesFor(log, 'T_room')?.points.at(-1)?.value
  return log.series.flatMap(({ quantity, place, points }) => {
    if (quantity !== 'T') return []
    const at = points.findLast((point) => point.at <= ended.at)
    const after = points.filter((point) => point.at > ended.at)
    if (!at || !after.length) return []
    const half = room === undefined ? undefined : room + (at.value - room) / 2
    const cooled = half === undefined ? undefined : after.find(({ value }) => value <= half)
    const last = after.at(-1)
    const name = place ?? 'case'
    return cooled
      ? [`The ${name} lost half of its rise in ${minutes(cooled.at - ended.at)}.`]
      : last
        ? [
            `The ${name} cooled from ${sayTemperature(at.value)} to ${sayTemperature(last.value)} in ${minutes(last.at - ended.at)}.`,
          ]
        : []
  })
}

/** s that a load must stand before it counts as completed. */
const completed = 600

/** The highest load that was run without overheating, and the lowest that overheated. */
export function withoutOverheating({ logs }: Pick<Analysis, 'logs'>): string[] {
  const runs = logs.flatMap((log) => {
    const watts = meanWatts(log)
    return log.ended && watts !== undefined && log.entry.reading.what !== 'charge' ? [{ log, watts }] : []
  })
  const hot = runs.filter(({ log }) => log.ended?.why === 'heat')
  const cool = runs.filter(({ log }) => log.ended?.why !== 'heat' && log.seconds >= completed)
  if (!hot.length) return []
  const lowest = hot.reduce((least, one) => (one.watts < least.watts ? one : least))
  const below = cool.filter(({ watts }) => watts < lowest.watts)
  const highest = below.toSorted((a, b) => b.watts - a.watts)[0]
  return [
    `At ${say(lowest.watts, 'W')} heat ended it, after ${minutes(lowest.log.seconds)}.`,
    highest
      ? `The highest load that completed without overheating: ${say(highest.watts, 'W')}, for ${minutes(highest.log.seconds)}.`
      : 'No lower load has completed yet.',
  ]
}
