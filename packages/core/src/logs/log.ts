import type { EntryOf, LogEnd } from '@even-watt/contract'
import { derive, isFigure, whenKnown, type Derived } from '../figures'
import { divide, scale } from '../meters'
import { remembering } from '../remember'
import type { Gate } from '../evidence'
import { readingsOf, type Analysis } from '../trials'
import { energyNames, energyOf, type EnergyName, type LoggedEnergy } from './energy'
import { segmentsOf, type LogEvent, type Segment } from './segments'
import { seriesOfCheckIns, seriesOfFile, type LoggedSeries } from './series'

/** A log with all that was read in it. */
export interface Log {
  readonly entry: EntryOf<'log'>
  /** In the order in which they were read; s from the beginning. */
  readonly checkIns: readonly { readonly entry: EntryOf<'check-in'>; readonly at: number }[]
  readonly files: readonly EntryOf<'log file'>[]
  /** Check-ins that stand before the beginning, and files of another time: they are not counted. */
  readonly astray: readonly string[]
  readonly series: readonly LoggedSeries[]
  /** From its beginning to its end, or to the last that was read. */
  readonly seconds: number
  readonly ended: { readonly why: LogEnd; readonly at: number } | undefined
  readonly events: readonly LogEvent[]
  /** When it ran, between what stopped it. */
  readonly segments: readonly Segment[]
  readonly energies: Readonly<Record<EnergyName, LoggedEnergy>>
  /** E_C / E_B. */
  readonly efficiency: Derived
}

/** s that a first reading may stand before the beginning that was pressed: hands are slow. */
const slowHands = 120
/** s that a file may begin before its log, or after it, and still belong to it. */
const otherLog = 3 * 86_400

/** Loads whose volts times amps are their watts. */
const isResistive = ({ reading: { kind } }: EntryOf<'log'>) => kind === 'element' || kind === 'filament'

const timeOf = (entry: EntryOf<'check-in'>) => Date.parse(entry.reading.readAt ?? entry.at)

const sameLog = remembering<EntryOf<'log'>, Log>()

/** The logs of one revision, in order of time. */
export function logsIn(analysis: Analysis): Log[] {
  const { record, evidence } = analysis
  const checkIns = readingsOf(record, 'check-in')
  const files = readingsOf(record, 'log file')
  return readingsOf(record, 'log').map((entry) => {
    const own = checkIns.filter(({ reading }) => reading.log === entry.id)
    const tables = files.filter(({ reading }) => reading.log === entry.id)
    return sameLog(entry, [...own, 'files', ...tables, record.revision, evidence.gate], () =>
      gather(entry, own, tables, analysis),
    )
  })
}

function gather(
  entry: EntryOf<'log'>,
  own: readonly EntryOf<'check-in'>[],
  tables: readonly EntryOf<'log file'>[],
  analysis: Analysis,
): Log {
  const begun = Date.parse(entry.at)
  const timed = own
    .map((one) => ({ entry: one, at: (timeOf(one) - begun) / 1000 }))
    .sort((a, b) => a.at - b.at)
  const checkIns = timed
    .filter(({ at }) => at >= -slowHands)
    .map((one) => ({ ...one, at: Math.max(0, one.at) }))
  const begins = (file: EntryOf<'log file'>) => (Date.parse(file.reading.from) - begun) / 1000
  const files = tables.filter((file) => Math.abs(begins(file)) < otherLog)
  const doubt = analysis.record.doubts.readings.get(entry.id)
  const gate: Gate =
    doubt === undefined
      ? analysis.evidence.gate
      : () => ({ why: `its log is doubted: ${doubt}.`, todo: 'Log it again.' })
  // A file may have begun before somebody pressed “begin”: its first row is then the beginning.
  const early = Math.min(0, ...files.map(begins))
  const shift = (series: LoggedSeries): LoggedSeries =>
    early < 0 && series.from === 'check-ins'
      ? { ...series, points: series.points.map(({ at, value }) => ({ at: at - early, value })) }
      : series
  const series = [
    // A look that is doubted stays to be seen, and nothing follows from what it read.
    ...seriesOfCheckIns(
      checkIns.filter((one) => !analysis.record.doubts.readings.has(one.entry.id)),
      gate,
      isResistive(entry),
    ).map(shift),
    ...files.flatMap((file) => seriesOfFile(file, begins(file) - early, gate)),
  ]
  const last = checkIns.findLast((one) => one.entry.reading.ended !== undefined)
  const why = last?.entry.reading.ended
  const seconds = Math.max(
    0,
    last ? last.at - early : 0,
    ...(last ? [] : checkIns.map(({ at }) => at - early)),
    ...files.map((file) => begins(file) - early + file.reading.seconds),
  )
  const span = { id: entry.id, seconds }
  const energies = Object.fromEntries(
    energyNames.map((name) => [name, energyOf(name, series, span, analysis)]),
  ) as Record<EnergyName, LoggedEnergy>
  const events = checkIns.flatMap(({ entry: { id, reading }, at }): LogEvent[] => {
    const words = reading.event ?? (reading.alarm && reading.alarm !== 'none' ? 'alarm' : undefined)
    return words
      ? [
          {
            at: at - early,
            what: words,
            entry: id,
            note: reading.observed ?? reading.note,
            alarm: reading.alarm,
          },
        ]
      : []
  })
  return {
    entry,
    checkIns: checkIns.map((one) => ({ ...one, at: one.at - early })),
    files,
    astray: [
      ...timed.filter(({ at }) => at < -slowHands).map((one) => one.entry.id),
      ...tables.filter((file) => !files.includes(file)).map(({ id }) => id),
    ],
    series,
    seconds,
    ended: why && last ? { why, at: last.at - early } : undefined,
    events,
    segments: segmentsOf(series, events, seconds),
    energies,
    efficiency: whenKnown([energies.E_C.figure, energies.E_B.figure], ([out, into]) =>
      derive('η', '%', 'E_C / E_B', [out, into], divide(out.x, into.x)),
    ),
  }
}

/** The first series of a quantity that holds more than one reading; of several the one with most. */
export const seriesFor = (
  { series }: Pick<Log, 'series'>,
  quantity: LoggedSeries['quantity'],
): LoggedSeries | undefined =>
  series
    .filter((one) => one.quantity === quantity && one.battery === undefined && one.points.length > 0)
    .sort((a, b) => b.points.length - a.points.length)[0]

/** Seconds in which it ran. */
export const ranFor = ({ segments }: Pick<Log, 'segments'>): number =>
  segments.reduce((sum, { from, to }) => sum + to - from, 0)

/**
 * Mean watts at the outlet over all that it ran, with what its gaps leave open: by its energy over real times, never the mean
 * of the looks (docs/method/logs.md).
 */
export function meanPower(log: Pick<Log, 'energies' | 'segments'>): Derived {
  const { figure } = log.energies.E_C
  const hours = ranFor(log) / 3600
  if (!isFigure(figure)) return figure
  return hours > 0
    ? derive('P_C in the mean', 'W', 'E_C / h', [figure], scale(figure.x, 1 / hours))
    : { missing: 'It did not run.' }
}

/** Mean watts at the outlet while it ran; undefined where neither its energy nor the expected watts are known. */
export function meanWatts(log: Log): number | undefined {
  const { figure } = log.energies.E_C
  const hours = ranFor(log) / 3600
  return isFigure(figure) && hours > 0 ? figure.x.value / hours : log.entry.reading.watts
}
