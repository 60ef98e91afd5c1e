import type { Quantity } from '@even-watt/contract'
import { hindrance, type Asked, type Evidence, type Hindrance, type Promised } from '../court'
import { say, sayDuration, sayFigure, type Figure } from '../figures'
import { seriesFor, type Log } from '../logs'
import { methodSource, rectangular, uncertain } from '../meters'
import { scopeOf } from '../trials'
import { claimValue } from '../units'
import { chargesOf, type Charge } from './charge'
import { inputFigure } from './figure'
import { chargingTests, inputCourse, inputPoints } from './input'

const ofSource =
  ({ claim }: Asked) =>
  (source: string | undefined): boolean =>
    claim.source === undefined || source === claim.source

/** The most that a charging input took, of the source that is promised. */
export const chargePower: Promised = {
  units: ['W', 'kW', 'A'],
  usual: { unit: 'W', comparator: 'at least' },
  asks: ['source'],
  at: 'charging',
  several: 'best',
  room: 'stated',
  voltsOf: 'steady',
  evidence: (asked) => [...fromTests(asked), ...fromLogs(asked)],
  absent: () => 'What its charging input takes was not read.',
  beside: ({ outcome }, asked) => {
    const itself = inputItself(asked)
    return outcome !== 'not tested' && itself?.watts !== undefined ? [itself.sentence] : []
  },
}

const quantitiesOf = ({ claim }: Asked): readonly Quantity[] =>
  claim.unit === 'A' ? ['I_in'] : ['P_in', 'P_wall']

const inputItself = (asked: Asked) =>
  inputCourse(inputPoints(asked.analysis.record).filter(({ source }) => ofSource(asked)(source)))

function fromTests(asked: Asked): Evidence[] {
  const { analysis } = asked
  const wanted = quantitiesOf(asked)
  return chargingTests(analysis.record, 'input')
    .filter(({ reading }) => ofSource(asked)(reading.source))
    .flatMap(({ entry, reading }) =>
      reading.values
        .filter(({ quantity }) => wanted.includes(quantity))
        .map((value) => taken(inputFigure(value, entry.id, analysis), reading.source, [], asked)),
    )
}

function fromLogs(asked: Asked): Evidence[] {
  const { analysis } = asked
  const wanted: readonly string[] = quantitiesOf(asked)
  return chargesOf(analysis)
    .filter(({ log }) => ofSource(asked)(log.entry.reading.source))
    .flatMap((charge) =>
      charge.log.series
        .filter(({ quantity, product }) => wanted.includes(quantity) && !product)
        .map((series) => {
          const [meter] = series.meters
          const value = {
            quantity: series.quantity as Quantity,
            value: series.largest,
            grade: series.grade,
            ...(meter ? { meter } : {}),
          }
          const figure = inputFigure(value, series.entries[0] ?? '', analysis)
          const { source } = charge.log.entry.reading
          return taken(doubtedWith(figure, charge.log, asked), source, logHindrances(charge), asked)
        }),
    )
}

/** A log that is doubted decides nothing, though its readings are not. */
function doubtedWith(figure: Figure, { entry }: Log, { analysis: { record } }: Asked): Figure {
  const doubt = record.doubts.readings.get(entry.id)
  return doubt === undefined
    ? figure
    : { ...figure, refused: { why: `it is doubted: ${doubt}.`, todo: 'Charge it again.' } }
}

/** A source that gave no more breaks no promise; where its watts stay alike whatever the volts, the input itself ends there. */
function taken(
  figure: Figure,
  source: string | undefined,
  against: readonly Hindrance[],
  asked: Asked,
): Evidence {
  const itself = inputItself(asked)
  const byItself =
    source === 'wall' || (itself?.watts !== undefined && Math.abs(figure.x.value / itself.watts - 1) < 0.05)
  return {
    code: 'took',
    figure,
    bound: 'exact',
    hindrances: [...against, ...(byItself ? [] : [gaveNoMore()])],
    found: () => `the most that it took is ${sayFigure(figure)}`,
  }
}

const gaveNoMore = () =>
  hindrance('source gave no more', () => ({
    why: 'The source may have given no more.',
    would: 'A source that gives more, in its window of volts, would show whether it takes more.',
  }))

/** Share of charge from which an input tapers by itself. */
const tapering = 0.8

function logHindrances({ log, from }: Charge): Hindrance[] {
  return [
    ...(from !== undefined && from >= tapering
      ? [
          hindrance('taper only', () => ({
            why: `It began at ${say(100 * from, '%', 2)}, where it takes less by itself.`,
            would: 'Charge it from lower.',
          })),
        ]
      : []),
    ...loadOn(log),
  ]
}

function loadOn(log: Log): Hindrance[] {
  const most = seriesFor(log, 'P_C')?.largest ?? 0
  return most > 1
    ? [
        hindrance('load on while charging', () => ({
          why: `A load of ${say(most, 'W')} was on meanwhile.`,
          would: 'Charge it without a load.',
        })),
      ]
    : []
}

/** From empty to full; not yet full is a bound from below. */
export const chargeTime: Promised = {
  units: ['h', 'min'],
  usual: { unit: 'h', comparator: 'at most' },
  asks: ['source'],
  at: 'charging',
  several: 'pooled',
  room: 'cold',
  voltsOf: 'steady',
  wanted: ({ claim }) => claimValue(claim) / 3600,
  evidence: (asked) =>
    chargesOf(asked.analysis)
      .filter(({ log }) => ofSource(asked)(log.entry.reading.source))
      .map((charge) => timeEvidence(charge, asked)),
  absent: () => 'A charge from empty to full was not timed.',
}

function timeEvidence(charge: Charge, asked: Asked): Evidence {
  const { log, full, fromEmpty, from } = charge
  const { analysis } = asked
  const seconds = full ?? log.seconds
  const figure: Figure = {
    symbol: 't',
    unit: 'h',
    x: uncertain(
      seconds / 3600,
      methodSource('charge time', `${log.entry.id}|${scopeOf(analysis.record)}`),
      rectangular(0.03),
    ),
    grade: 'measured',
    working: {
      formula: 'from empty until its input falls under a twentieth, or its gauge stands at 100 %',
      inputs: [],
      notes: [],
      entries: [log.entry.id],
    },
  }
  const time = sayDuration(60 * Math.round(seconds / 60))
  const began = fromEmpty
    ? 'from empty'
    : from === undefined
      ? 'from a charge that nobody noted'
      : `from ${say(100 * from, '%', 2)}`
  return {
    code: full === undefined ? 'not full yet' : 'full',
    figure: doubtedWith(figure, log, asked),
    bound: full === undefined ? 'at least' : 'exact',
    hindrances: [
      ...(fromEmpty ? [] : [notFromEmpty(from)]),
      ...loadOn(log),
      ...(log.entry.reading.source === 'solar' ? [gaveNoMore()] : []),
    ],
    open: hindrance('time too short', () => ({
      why: `After ${time} it was not full.`,
      would: 'Charge it until its input falls under a twentieth.',
    })),
    ...(fromEmpty ? { alike: 'from empty' } : {}),
    found: () =>
      full === undefined ? `${began} it was not full after ${time}` : `${began} it was full after ${time}`,
  }
}

const notFromEmpty = (from: number | undefined) =>
  hindrance('not from empty', () =>
    from === undefined
      ? {
          why: 'How full it was before is not noted.',
          would: 'Note how full it is at the beginning, or run it down first.',
        }
      : {
          why: `It was charged from ${say(100 * from, '%', 2)}, not from empty.`,
          would: 'Run it down first.',
        },
  )
