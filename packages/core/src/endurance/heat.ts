import { formatNumber, isFigure, say, sayDuration, sayFigure, sayTemperature, type Figure } from '../figures'
import { methodSource, rangeFor, rectangular, specificationSource, halfWidth } from '../meters'
import {
  fitThermal,
  seriesFor,
  settledAfter,
  tellsEnd,
  temperatureAt,
  type Log,
  type LoggedSeries,
  type Point,
  type ThermalFit,
} from '../logs'
import { remembering } from '../remember'
import { scopeOf, type Analysis } from '../trials'

/** One place that was felt over a log. */
export interface PlaceHeat {
  /** The place, or the id of a part of the rig. */
  readonly place: string
  readonly hottest: Figure
  /** K over the room where it was hottest. */
  readonly rise: number
  readonly fit: ThermalFit | undefined
  /** Where it would settle in this room; absent while too little of it was watched. */
  readonly settles: Figure | undefined
  /** °C in a room of 40 °C, settled where that is known, else as hot as it was. */
  readonly inHotRoom: number
  /** What its insulation stands, °C, where it is a cable. */
  readonly rating: number | undefined
  /** °C at the moment of switching off, from how it cooled. */
  readonly atSwitchOff: number | undefined
  /** s of the log from which it rises by under 1 K in a quarter of an hour; absent while that is not known. */
  readonly settledAt: number | undefined
  readonly sentence: string
}

const hotRoom = 40
/** K by which it may have been hotter than where it ends. */
const turnedBy = 1
/** Half-width where no thermometer is named, K. */
const usualThermometer = 2

/** The room at a time: between its readings, straight; without any, as the rig has it. */
function roomAt(room: readonly Point[], usual: number, at: number): number {
  const after = room.findIndex((point) => point.at >= at)
  const [b, a] = [room[after], room[after - 1]]
  if (after < 0) return room.at(-1)?.value ?? usual
  if (!b) return usual
  if (!a) return b.value
  return a.value + ((b.value - a.value) * (at - a.at)) / (b.at - a.at || 1)
}

/** What each place came to over a log, and where it would settle (docs/method/endurance.md). */
export const heatOf = (log: Log, analysis: Analysis): readonly PlaceHeat[] =>
  sameHeat(log, [analysis.record.revision, analysis.record.trial], () => {
    const { rig } = analysis.record.revision
    const room = seriesFor(log, 'T_room')?.points ?? []
    return log.series
      .filter(({ quantity, points }) => quantity === 'T' && points.length > 0)
      .map((series) => placeHeat(series, log, analysis, (at) => roomAt(room, rig.ambient, at)))
  })

/** Its fits take long, and findings, pages and the report ask for them. */
const sameHeat = remembering<Log, readonly PlaceHeat[]>()

function placeHeat(
  series: LoggedSeries,
  log: Log,
  analysis: Analysis,
  room: (at: number) => number,
): PlaceHeat {
  const { revision } = analysis.record
  const until = log.ended?.at ?? log.seconds
  const running = series.points.filter(({ at }) => at <= until)
  const points = running.length ? running : series.points
  const [first] = points
  const hottest = points.reduce(
    (most, point) => (point.value > most.value ? point : most),
    first ?? { at: 0, value: 0 },
  )
  const rise = hottest.value - room(hottest.at)
  const above = points.map(({ at, value }) => ({ at, value: value - room(at) }))
  const fit = fitThermal(above)
  const off = thermometerOff(series, analysis)
  const name = `T of ${series.place ?? 'case'}`
  const scope = `${log.entry.id}|${series.place ?? ''}|${scopeOf(analysis.record)}`
  const figure = (value: number, u: number, formula: string, notes: readonly string[] = []): Figure => ({
    symbol: name,
    unit: '°C',
    x: {
      value,
      sources: new Map([
        [off.source, off.u],
        [methodSource('thermal fit', scope), u],
      ]),
    },
    grade: series.grade,
    ...(series.refused ? { refused: series.refused } : {}),
    working: { formula, inputs: [], notes, entries: series.entries },
  })
  const now = room(points.at(-1)?.at ?? 0)
  // Hotter before than where it would end: a fan or the load changed, and no one curve holds.
  const turned = fit !== undefined && hottest.value - room(hottest.at) > fit.settles + turnedBy
  const known = fit && !turned && fit.watched >= tellsEnd && fit.high !== undefined && fit.low !== undefined
  const settles =
    known && fit.high !== undefined && fit.low !== undefined
      ? figure(
          now + fit.settles,
          (fit.high - fit.low) / 4,
          'T∞ of T = T∞ − (T∞ − T0)·e^(−t/τ), above the room',
          [`τ ${sayDuration(60 * Math.round(fit.tau / 60))}; watched for ${formatNumber(fit.watched, 1)} τ.`],
        )
      : undefined
  const above40 = hotRoom + (settles ? settles.x.value - now : rise)
  const cable = [...revision.rig.positive, ...revision.rig.negative].find(({ id }) => id === series.place)
  const rating = cable?.kind === 'cable' ? cable.insulation : undefined
  const placeName = cable?.name ?? series.place ?? 'case'
  const hot = figure(hottest.value, 0, 'hottest that was read')
  const after = settles && fit ? settledAfter(fit) : undefined
  return {
    place: placeName,
    hottest: hot,
    rise,
    fit,
    settles,
    inHotRoom: above40,
    rating,
    atSwitchOff: switchedOff(series.points, log, room),
    settledAt: after === undefined ? undefined : (first?.at ?? 0) + after,
    sentence: `${sentenceOf(placeName, hot, settles, turned ? undefined : fit, now, above40, rating)}${whenSettled(after, (points.at(-1)?.at ?? 0) - (first?.at ?? 0))}`,
  }
}

function sentenceOf(
  place: string,
  hottest: Figure,
  settles: Figure | undefined,
  fit: ThermalFit | undefined,
  room: number,
  above40: number,
  rating: number | undefined,
): string {
  const capital = place.charAt(0).toUpperCase() + place.slice(1)
  const began = `${capital}: ${sayFigure(hottest)} at most`
  const over =
    rating !== undefined
      ? above40 > rating
        ? `; in a room of ${sayTemperature(hotRoom)} at ${say(above40, '°C', 2)}: over the insulation’s ${say(rating, '°C')}`
        : `; in a room of ${sayTemperature(hotRoom)} at ${say(above40, '°C', 2)}, within the insulation’s ${say(rating, '°C')}`
      : `; in a room of ${sayTemperature(hotRoom)} at ${say(above40, '°C', 2)}`
  if (settles) return `${began}; would settle at ${sayFigure(settles)}${over}.`
  if (fit?.low !== undefined)
    return `${began}; it was still rising: it would settle at ${say(room + fit.low, '°C', 2)} or more${fit.high === undefined ? '' : `, up to ${say(room + fit.high, '°C', 2)}`}${over}.`
  return `${began}${over}.`
}

/** When it rises by under 1 K in a quarter of an hour: a hold may end there. */
function whenSettled(after: number | undefined, watched: number): string {
  if (after === undefined || after <= 0) return ''
  const said = sayDuration(60 * Math.round(after / 60))
  return after <= watched ? ` It has settled, after ${said}.` : ` It will have settled after ${said}.`
}

/** What all readings of a thermometer are off by, together. */
function thermometerOff({ meters: [id] }: LoggedSeries, { record }: Analysis) {
  const meter = record.revision.meters.find((one) => one.id === id)
  const range = meter && rangeFor(meter.ranges, 'temperature', 60)
  return meter && range
    ? { source: specificationSource(meter.id, range.id), u: rectangular(halfWidth(range, 60)) }
    : { source: methodSource('thermometer', scopeOf(record)), u: rectangular(usualThermometer) }
}

/** Read while it cools, and carried back to the moment of switching off; undefined: fewer than three such readings. */
function switchedOff(
  points: readonly Point[],
  { ended }: Log,
  room: (at: number) => number,
): number | undefined {
  if (!ended) return undefined
  const cooling = points
    .filter(({ at }) => at > ended.at)
    .map(({ at, value }) => ({ at: at - ended.at, value: value - room(at) }))
  const fit = fitThermal(cooling)
  if (fit) return temperatureAt(fit, -(cooling[0]?.at ?? 0)) + room(ended.at)
  // Too few for a curve of their own: they fall towards the room in a straight line of their logarithms.
  const logs = cooling
    .filter(({ value }) => value > 0)
    .map(({ at, value }) => ({ at, value: Math.log(value) }))
  if (logs.length < 3) return undefined
  const mean = (of: (point: Point) => number) => logs.reduce((sum, point) => sum + of(point), 0) / logs.length
  const [t, y] = [mean(({ at }) => at), mean(({ value }) => value)]
  const slope =
    logs.reduce((sum, { at, value }) => sum + (at - t) * (value - y), 0) /
    logs.reduce((sum, { at }) => sum + (at - t) ** 2, 0)
  return Math.exp(y - slope * t) + room(ended.at)
}

/** A temperature that a place would settle at, as a figure to be judged: what was reached is only its least. */
export const settledOrHottest = ({ settles, hottest }: PlaceHeat): Figure =>
  settles && isFigure(settles) ? settles : hottest
