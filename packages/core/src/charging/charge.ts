import { derive, isFigure, say, sayDuration, whenKnown, type Derived } from '../figures'
import { divide } from '../meters'
import { seriesFor, type Log } from '../logs'
import type { Analysis } from '../trials'
import { claimOf, claimValue } from '../units'
import { ranEmpty } from '../endurance'

/** A charge from a log of it. */
export interface Charge {
  readonly log: Log
  /** Wh that went in. */
  readonly taken: Derived
  /** s until its gauge stood at full, or its input fell under a twentieth of its most; undefined: it did not. */
  readonly full: number | undefined
  /** s at which it began to take less for good. */
  readonly tapers: number | undefined
  /** s from its gauge at full until it took nothing more; undefined: it was not too early. */
  readonly early: number | undefined
  readonly most: number | undefined
  readonly from: number | undefined
  readonly to: number | undefined
  /** Whether it began empty: as noted, by its gauge, or since the log before ran it down to its end. */
  readonly fromEmpty: boolean
  /** What its gauge says went into the store, over what was taken, 0 to 1: by its label’s Wh, an estimate. */
  readonly conversion: number | undefined
  /** Delivered Wh of a run-down beside it, over what was taken. */
  readonly roundTrip: Derived
  readonly sentence: string
}

/** Share of its most under which an input counts as done, and under which it tapers. */
const done = 0.05
const taperUnder = 0.9
/** Share of charge that a gauge must show for it to be full, and at which it says so itself. */
const fullFrom = 0.95
const toppedAt = 0.995
/** Ends of a log after which an input that takes nothing is one that wants nothing. */
const endsFull: ReadonlySet<string> = new Set(['full', 'time was up', 'by hand', 'not known'])
/** Share of charge under which it counts as empty. */
const empty = 0.05
/** s that a gauge may say so early. */
const aMinute = 60
/** Share of what was taken that no store gives back more of. */
const mostBack = 0.98
/** Share of charge that a gauge must gain for its steps not to tell too much. */
const leastGain = 0.2

/** What a log of a charge says of when it was full and where it began to taper (docs/method/charging.md). */
export function chargesOf(analysis: Analysis): Charge[] {
  return analysis.logs
    .filter(({ entry }) => entry.reading.what === 'charge')
    .map((log): Charge => {
      const taken =
        log.energies[
          log.entry.reading.source === 'wall' && isFigure(log.energies.E_wall.figure)
            ? 'E_wall'
            : isFigure(log.energies.E_in.figure)
              ? 'E_in'
              : 'E_wall'
        ].figure
      const series = seriesFor(log, 'P_wall') ?? seriesFor(log, 'P_in')
      const charge = seriesFor(log, 'charge')?.points ?? []
      const from = log.entry.reading.charge ?? charge[0]?.value
      const to = charge.at(-1)?.value
      const most = series && Math.max(...series.points.map(({ value }) => value))
      const topped = charge.find(({ value }) => value >= toppedAt)?.at
      // Unplugged, or cut off by a BMS, it takes nothing more either; and a gauge that stands lower says that it is not full.
      const stopped = log.ended !== undefined && !endsFull.has(log.ended.why)
      const short = to !== undefined && to < fullFrom
      const ended = log.ended?.why === 'full' && !short ? log.ended.at : undefined
      const fell =
        most && log.entry.reading.source !== 'solar' && !short && !stopped
          ? fallsFrom(series.points, done * most)
          : undefined
      const full = fell ?? topped ?? ended
      const early =
        topped !== undefined && fell !== undefined && fell - topped > aMinute ? fell - topped : undefined
      const tapers =
        most && log.entry.reading.source !== 'solar' ? fallsFrom(series.points, taperUnder * most) : undefined
      const label = claimOf(analysis.record.revision.unit, 'energy')
      const gained = from !== undefined && to !== undefined && to - from > leastGain ? to - from : undefined
      const conversion =
        label && label.unit !== 'Ah' && gained !== undefined && isFigure(taken)
          ? (gained * claimValue(label)) / taken.x.value
          : undefined
      const fromEmpty = from === undefined ? ranDownBefore(log, analysis) : from <= empty
      const roundTrip = fromEmpty
        ? roundTripOf(log, taken, analysis)
        : { missing: 'It was not charged from empty, as far as is noted.' }
      return {
        log,
        taken,
        full,
        tapers,
        early,
        most,
        from,
        to,
        fromEmpty,
        conversion,
        roundTrip,
        sentence: sentenceOf({ taken, full, tapers, early, most, from, to, conversion, roundTrip }),
      }
    })
}

/** s from which values stay under a level to the end; undefined: they do not. */
function fallsFrom(points: readonly { at: number; value: number }[], level: number): number | undefined {
  const last = points.findLastIndex(({ value }) => value >= level)
  return last >= 0 && last < points.length - 1 ? points[last + 1]?.at : undefined
}

/** Whether the last that was done with its store before a charge was to run it down to its end. */
function ranDownBefore(log: Log, { logs }: Analysis): boolean {
  const at = (one: Log) => Date.parse(one.entry.at)
  const before = logs
    .filter((one) => at(one) < at(log) && ['run-down', 'charge'].includes(one.entry.reading.what))
    .sort((a, b) => at(b) - at(a))[0]
  return before?.entry.reading.what === 'run-down' && ranEmpty(before)
}

/** Wh out over Wh in: of a charge from empty to full, and a run-down next to it that went to its end. */
function roundTripOf(log: Log, taken: Derived, { logs }: Analysis): Derived {
  const at = (one: Log) => Date.parse(one.entry.at)
  const beside = logs
    .filter(
      (one) => one.entry.reading.what === 'run-down' && ranEmpty(one) && isFigure(one.energies.E_C.figure),
    )
    .sort((a, b) => Math.abs(at(a) - at(log)) - Math.abs(at(b) - at(log)))[0]
  if (!beside) return { missing: 'No run-down to its end stands beside this charge.' }
  return whenKnown([beside.energies.E_C.figure, taken], ([out, into]) =>
    out.x.value > mostBack * into.x.value
      ? { missing: 'More came out than was taken: the charge was not from empty to full, or a meter is off.' }
      : derive('round trip', '%', 'Wh out / Wh in', [out, into], divide(out.x, into.x)),
  )
}

function sentenceOf({
  taken,
  full,
  tapers,
  early,
  most,
  from,
  to,
  conversion,
  roundTrip,
}: Omit<Charge, 'log' | 'fromEmpty' | 'sentence'>): string {
  const minutes = (s: number) => sayDuration(60 * Math.round(s / 60))
  const share = (x: number | undefined) => (x === undefined ? undefined : say(100 * x, '%', 2))
  const range =
    from !== undefined && to !== undefined ? `From ${share(from) ?? ''} to ${share(to) ?? ''}` : 'The charge'
  const took = isFigure(taken) ? ` took ${say(taken.x.value, 'Wh')}` : ''
  const time = full === undefined ? '; it was not full' : `; full after ${minutes(full)}`
  const up = most === undefined ? '' : `, at up to ${say(most, 'W')}`
  const tapered = tapers === undefined ? '' : `; it tapers from ${minutes(tapers)} on`
  const round = isFigure(roundTrip) ? `. Round trip: ${say(100 * roundTrip.x.value, '%')}` : ''
  const stored =
    conversion === undefined || conversion > 1.05
      ? ''
      : `. By its gauge and label ${say(100 * conversion, '%', 2)} of it is in the store`
  const tooEarly =
    early === undefined
      ? ''
      : `. Its gauge said full ${minutes(early)} before it stopped taking: wait that long before a run-down`
  const wait = full === undefined ? '. Wait until it takes nothing before it is run down' : ''
  return `${range}${took}${up}${time}${tapered}${stored}${round}${tooEarly}${wait}.`
}
