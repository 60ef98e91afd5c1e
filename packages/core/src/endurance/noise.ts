import type { EntryOf } from '@even-watt/contract'
import { say, sayLength, type Figure } from '../figures'
import type { Log, Point } from '../logs'
import { halfWidth, methodSource, rangeFor, rectangular, specificationSource } from '../meters'
import type { Notice } from '../oddities'
import { readingsOf, scopeOf, type Analysis } from '../trials'

/** dB by which a level must stand over its background to be told from it. */
const tellsApart = 3
/** Half-width where no sound level meter is named, dB. */
const usual = 2

/** How loud a unit was at one reading. */
export interface Noise {
  readonly entry: EntryOf<'noise'>
  /** dB(A) without the background; all that was heard, where that was not read or is not told from it. */
  readonly level: Figure
  /** Whether the level is the unit's alone. */
  readonly alone: boolean
  readonly sentence: string
}

/**
 * Level without its background: 10·log10(10^(L/10) − 10^(B/10)), dB(A). Undefined where they are under 3 dB apart: what is
 * left then is not told from nothing (docs/method/endurance.md).
 */
export const withoutBackground = (level: number, background: number): number | undefined =>
  // Tenths of a dB do not subtract to a whole 3 in binary.
  level - background < tellsApart - 1e-9
    ? undefined
    : 10 * Math.log10(10 ** (level / 10) - 10 ** (background / 10))

export function noisesOf(analysis: Analysis): Noise[] {
  const { record } = analysis
  return readingsOf(record, 'noise').map((entry) => {
    const { level, background, distance, load, watts, fan, silent, meter: id } = entry.reading
    const where = `at ${sayLength(distance)}${load ? `, ${load}` : ''}${watts === undefined ? '' : `, ${say(watts, 'W')}`}${fan ? `, fan ${fan}` : ''}`
    const own = background === undefined ? undefined : withoutBackground(level, background)
    const left = own ?? level
    const meter = record.revision.meters.find((one) => one.id === id)
    const range = meter && rangeFor(meter.ranges, 'sound level', level)
    // The common error of a level goes through the difference of energies with this factor.
    const gain =
      background === undefined || own === undefined ? 1 : 1 / (1 - 10 ** ((background - level) / 10))
    const half = range ? halfWidth(range, level) : usual
    const source =
      meter && range ? specificationSource(meter.id, range.id) : methodSource('sound level', scopeOf(record))
    const figure: Figure = {
      symbol: 'L',
      unit: 'dB(A)',
      // Level and background stand on one meter: what it is off by moves both alike.
      x: {
        value: left,
        sources: new Map([
          [source, rectangular(half)],
          [methodSource('noise', entry.id), 0.25 * gain],
        ]),
      },
      grade: 'measured',
      ...refusedOf(entry, meter !== undefined, record),
      working: {
        formula: own === undefined ? 'L as read, with the room' : '10·log10(10^(L/10) − 10^(B/10))',
        inputs: [],
        notes: silent === false ? ['The load makes noise of its own.'] : [],
        entries: [entry.id],
      },
    }
    const because =
      background === undefined
        ? ', background not read'
        : ` (${say(level, 'dB(A)')} over ${say(background, 'dB(A)')})`
    const sentence =
      own === undefined && background !== undefined
        ? `${say(level, 'dB(A)')} over ${say(background, 'dB(A)')} ${where}: not told from the room.`
        : `${say(left, 'dB(A)')} ${where}${because}.`
    return { entry, level: figure, alone: own !== undefined, sentence }
  })
}

/** What is doubted decides nothing, nor what no meter is named for. */
function refusedOf({ id, reading }: EntryOf<'noise'>, named: boolean, { doubts }: Analysis['record']) {
  const doubt = doubts.readings.get(id) ?? doubts.meters.get(reading.meter ?? '')
  if (doubt !== undefined) return { refused: { why: `it is doubted: ${doubt}.`, todo: 'Read it again.' } }
  return named ? {} : { refused: { why: 'no meter is named.', todo: 'Say which meter it was read on.' } }
}

/** 36: a level less than 3 dB over its background. */
export const noticeQuiet: Notice = ({ analysis }) =>
  noisesOf(analysis)
    .filter(({ alone, entry }) => !alone && entry.reading.background !== undefined)
    .map(({ entry }) => ({
      number: 36,
      odd: `${say(entry.reading.level, 'dB(A)')} is less than ${tellsApart} dB over the background of ${say(entry.reading.background ?? 0, 'dB(A)')}.`,
      why: 'The unit cannot be told from the room.',
      todo: 'Read it nearer, or when the room is quieter; say the distance.',
      at: { revision: analysis.record.revision.number, entry: entry.id },
    }))

/**
 * How loud it was while a log ran, in order of time: s of the log, dB(A) without the background. What was read of a load
 * that makes noise of its own, or cannot be told from the room, is left out.
 */
export function noiseDuring(log: Log, analysis: Analysis): Point[] {
  const begun = Date.parse(log.entry.at)
  const end = log.ended?.at ?? log.seconds
  return noisesOf(analysis)
    .flatMap(({ entry, level, alone }) =>
      alone && entry.reading.silent !== false
        ? [{ at: (Date.parse(entry.at) - begun) / 1000, value: level.x.value }]
        : [],
    )
    .filter(({ at }) => at >= 0 && at <= end)
    .sort((a, b) => a.at - b.at)
}
