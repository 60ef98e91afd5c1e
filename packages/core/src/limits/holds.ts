import type { EntryOf, Quantity, Value } from '@even-watt/contract'
import type { Alarm, Outcome } from '../blame'
import { deriveStep, type StepContext, type StepFigures } from '../ladder'
import {
  byHeat,
  carriedFor,
  isTapQuantity,
  type Log,
  type LogEvent,
  type Point,
  type CarriedStretch,
} from '../logs'
import { remembering } from '../remember'
import type { Analysis } from '../trials'

const kinds: ReadonlySet<string> = new Set(['rated hold', 'tier hold', 'run-down', 'soak'])
/** What a step has of a log; counters and ports are not of it. */
const taken: ReadonlySet<Quantity> = new Set([
  'V_A',
  'V_B',
  'I',
  'I_bank',
  'P_B',
  'V_C',
  'I_C',
  'P_C',
  'PF',
  'f',
])

/** A stretch of a log in which its load was on: to where it stopped, or an alarm came. */
export interface Hold {
  readonly log: Log
  /** Over the time that is asked for, or over all of it where it is shorter; its watts are the least that stood. */
  readonly step: StepFigures
  /** s that it ran in all. */
  readonly held: number
  /** Whether it was looked at closely enough. */
  readonly watched: boolean
  readonly became: Outcome
  readonly alarm: Alarm
}

interface Run {
  readonly from: number
  readonly to: number
  readonly became: Outcome
  readonly alarm: Alarm
}

const atEnd: Readonly<Record<NonNullable<Log['ended']>['why'], Pick<Run, 'became' | 'alarm'>>> = {
  'low voltage': { became: 'tripped', alarm: 'low voltage' },
  BMS: { became: 'tripped', alarm: 'low voltage' },
  'one battery first': { became: 'tripped', alarm: 'low voltage' },
  heat: { became: 'tripped', alarm: 'heat' },
  overload: { became: 'tripped', alarm: 'overload' },
  full: { became: 'time was up', alarm: 'none' },
  'time was up': { became: 'time was up', alarm: 'none' },
  'by hand': { became: 'stopped by hand', alarm: 'none' },
  'not known': { became: 'tripped', alarm: 'other' },
}

const isAlarm = ({ alarm = 'none' }: LogEvent) => alarm !== 'none'
const alarmOf = (event: LogEvent): Alarm => (byHeat(event) ? 'heat' : ((event.alarm ?? 'other') as Alarm))

/** What ended each stretch of a log: an alarm in it, what was noted where it stopped, or how the log itself ended. */
function runsOf(log: Log): Run[] {
  const { segments, events, ended, entry } = log
  return segments.map(({ from, to }, i): Run => {
    const alarm = events.find((event) => isAlarm(event) && event.at > from && event.at < to)
    if (alarm) return { from, to: alarm.at, became: 'warned', alarm: alarmOf(alarm) }
    if (i < segments.length - 1) {
      const stop = events.find(({ at, what }) => what === 'stopped' && Math.abs(at - to) < 120)
      return { from, to, became: 'tripped', alarm: stop ? alarmOf(stop) : 'other' }
    }
    const end: Pick<Run, 'became' | 'alarm'> = ended ? atEnd[ended.why] : { became: 'carried', alarm: 'none' }
    // A bank or a store that was run empty on purpose is no failure at all.
    const emptied = entry.reading.what === 'run-down' && end.alarm === 'low voltage'
    return { from, to, ...(emptied ? { became: 'time was up', alarm: 'none' } : end) }
  })
}

const same = remembering<EntryOf<'log'>, readonly Hold[]>()

/**
 * Logs that held a load, each stretch of it as an attempt at carrying it for so many s: the least that stood over the best
 * stretch of that length, not the mean of the looks (docs/method/logs.md).
 */
export const holdsOf = ({ logs, ladder }: Pick<Analysis, 'logs' | 'ladder'>, seconds: number): Hold[] =>
  logs.flatMap((log) =>
    kinds.has(log.entry.reading.what)
      ? same(log.entry, [log, ladder.context, seconds], () =>
          runsOf(log).flatMap((run) => holdIn(log, run, seconds, ladder.context)),
        )
      : [],
  )

function holdIn(log: Log, run: Run, seconds: number, context: StepContext): Hold[] {
  const within = ({ at }: Point) => at >= run.from && at <= run.to
  const of = (quantity: Quantity) =>
    log.series
      .filter((one) => one.quantity === quantity && one.battery === undefined)
      .sort(
        (a, b) =>
          Number(Boolean(a.refused)) - Number(Boolean(b.refused)) || b.points.length - a.points.length,
      )[0]
  const watts = of('P_C') ?? of('I_C')
  const points = watts?.points.filter(within) ?? []
  if (!watts || !points.length) return []
  const held = run.to - run.from
  const stretch = carriedFor(points, seconds, isCounted(log)) ?? wholeOf(points, run, seconds)
  const values = log.series.flatMap(({ quantity, points: all, meters, grade, product }): Value[] => {
    if (!isTapQuantity(quantity) || !taken.has(quantity)) return []
    if (product && quantity !== 'P_C') return []
    const inside = all.filter(({ at }) => at >= stretch.from && at <= stretch.to)
    if (!inside.length) return []
    const read = inside.map(({ value }) => value)
    const value = quantity === watts.quantity ? stretch.least : Math.min(...read)
    return [{ quantity, value, grade, ...(meters[0] ? { meter: meters[0] } : {}) }]
  })
  const { id, at, revision } = log.entry
  const reading: EntryOf<'ladder'>['reading'] = {
    step: id,
    position: 0,
    load: log.entry.reading.load ?? log.entry.reading.what,
    kind: log.entry.reading.kind ?? 'mixed',
    values,
    ...(held > 0 ? { held } : {}),
  }
  const entry: EntryOf<'ladder'> = { id, at, revision, kind: 'ladder', reading }
  const step = deriveStep({ id, position: 0, readings: [entry], struck: [], captures: [] }, context)
  const { became, alarm } = run
  return [{ log, step: refusedWith(step, watts.refused), held, watched: stretch.watched, became, alarm }]
}

/** A counter of Wh that ran on over all of it spans what lies between two looks. */
const isCounted = ({ energies: { E_C } }: Log) => E_C.counted !== undefined && (E_C.E_n ?? 0) <= 1

/** All of a stretch that is shorter than what is asked; watched only where its looks lie close. */
function wholeOf(points: readonly Point[], { from, to }: Run, seconds: number): CarriedStretch {
  const whole = Math.min(seconds, to - from)
  const times = [from, ...points.map(({ at }) => at), to]
  const gap = Math.max(...times.slice(1).map((at, i) => at - (times[i] as number)))
  return {
    from,
    to,
    least: Math.min(...points.map(({ value }) => value)),
    watched: gap <= 0.2 * Math.max(whole, 1),
  }
}

/** What the gate refused in the log is refused in what follows from it. */
function refusedWith(step: StepFigures, refused: Log['series'][number]['refused']): StepFigures {
  const { P_C } = step
  return refused && 'x' in P_C && !P_C.refused ? { ...step, P_C: { ...P_C, refused } } : step
}
