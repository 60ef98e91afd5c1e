import type { EntryOf } from '@even-watt/contract'
import { hindrance, wantedOf, type Asked, type Evidence, type Promised } from '../court'
import { methodSource, rectangular, uncertain } from '../meters'
import { say, sayFigure, type Figure } from '../figures'
import { scopeOf, type RevisionRecord } from '../trials'
import { claimValue, ratedPower } from '../units'
import { allAttempts, isMotor, type Attempt } from './attempt'
import { endedByOthers } from './power'
import { testsOf } from './overload'
import { capturedSoftStart } from './softStart'

/** s by which a hand is early or late, and half a cycle for a capture (docs/method/limits.md). */
const hand = 0.3
const halfCycle = 0.01

/** A time as it was taken: by eye it supports a sentence, and decides nothing; what is doubted neither. */
function timed(
  symbol: string,
  seconds: number,
  seen: 'watch' | 'capture' | 'by eye',
  entry: EntryOf<'limit'>,
  record: RevisionRecord,
): Figure {
  const words = {
    watch: 'by a watch: the hand is early or late by 0.3 s',
    capture: 'in a capture',
    'by eye': 'by eye',
  }
  const doubt = record.doubts.readings.get(entry.id)
  return {
    symbol,
    unit: 's',
    x: uncertain(
      seconds,
      methodSource(symbol, `${entry.id}|${scopeOf(record)}`),
      rectangular(seen === 'capture' ? halfCycle : hand),
    ),
    grade: seen === 'by eye' ? 'observed' : 'measured',
    ...(doubt === undefined ? {} : { refused: { why: `it is doubted: ${doubt}.`, todo: 'Time it again.' } }),
    working: { formula: `${symbol} taken ${words[seen]}`, inputs: [], notes: [], entries: [entry.id] },
  }
}

const ofTime = {
  units: ['s', 'ms', 'min'],
  usual: { unit: 's', comparator: 'at most' },
  at: 'limits',
  several: 'worst',
  room: 'stated',
  voltsOf: 'steady',
} as const

/** Start-up or soft start by the slowest that was timed, with nothing or something connected. */
export const startUpPromise = (which: 'startUp' | 'softStart', symbol: string): Promised => ({
  ...ofTime,
  evidence: ({ analysis: { record } }) =>
    testsOf(record, 'start-up').flatMap(({ entry, reading }): Evidence[] => {
      const captured = which === 'softStart' ? capturedSoftStart(entry.id, record) : undefined
      const seconds = captured ?? reading[which]
      if (seconds === undefined) return []
      const figure = timed(symbol, seconds, captured === undefined ? reading.seen : 'capture', entry, record)
      const found = () => `its ${symbol} is ${sayFigure(figure)}`
      return [{ code: 'timed', figure, bound: 'exact', hindrances: [], found }]
    }),
  absent: () => `Its ${symbol} was not tested. It was not timed.`,
})

/** How soon it came back by itself after an overload; what came back by a hand only did not within any time. */
export const recovery: Promised = {
  ...ofTime,
  evidence: ({ analysis: { record } }) =>
    testsOf(record, 'overload').flatMap(({ entry, reading }): Evidence[] => {
      const { comeback, comebackAfter } = reading
      if (comeback !== 'by itself' || comebackAfter === undefined) return []
      const figure = timed('recovery', comebackAfter, 'watch', entry, record)
      return [
        {
          code: 'came back',
          figure,
          bound: 'exact',
          hindrances: [],
          found: () => `its recovery is ${sayFigure(figure)}`,
        },
      ]
    }),
  absent: (asked) => {
    const once = byHand(asked)
    return once
      ? `${once} A time by itself was not seen.`
      : 'Its recovery was not tested. No overload was timed until it came back.'
  },
  beside: (verdict, asked) => (verdict.absent === undefined ? [byHand(asked)] : []),
}

/** "Once it came back only by its reset." */
function byHand({ analysis: { record } }: Asked): string {
  const once = testsOf(record, 'overload').find(
    ({ reading: { comeback = 'not tried' } }) => comeback !== 'not tried' && comeback !== 'by itself',
  )
  if (!once) return ''
  const { comeback = '' } = once.reading
  return `Once it came back ${comeback === 'not at all' ? 'not at all' : `only ${comeback}`}.`
}

/**
 * Watts at which the unit itself gives up by overload; a promise in % is of its continuous power. Loads come in steps: it lies
 * between the most that was carried, a bound from below, and the least at which it gave up, one from above; watts that were
 * ramped tell it outright (docs/method/limits.md).
 */
export const overloadTrip: Promised = {
  units: ['W', 'kW', '%'],
  usual: { unit: 'W', comparator: 'at least' },
  at: 'limits',
  several: 'best',
  room: 'stated',
  voltsOf: 'carrying',
  wanted: ({ claim, analysis }) =>
    claim.unit === '%'
      ? (claim.value / 100) * (ratedPower(analysis.record.revision.unit) ?? 0)
      : claimValue(claim),
  evidence: tripEvidence,
  absent: ({ claim, analysis }) =>
    claim.unit === '%' && ratedPower(analysis.record.revision.unit) === undefined
      ? 'The overload trip is promised in % of its continuous power, which it does not promise.'
      : 'The overload trip was not tested: nothing was raised until it gave up by overload.',
}

function tripEvidence(asked: Asked): Evidence[] {
  const { claim, analysis } = asked
  const rated = ratedPower(analysis.record.revision.unit)
  if (claim.unit === '%' && rated === undefined) return []
  const all = allAttempts({ ...asked, claim: { ...claim, unit: 'W' } }, 1).filter(
    ({ step }) => !isMotor(step),
  )
  const tripped = all
    .filter(({ became, ended }) => became === 'tripped' && ended?.code !== 'heat alarm')
    .sort(byPower)
  const [lowest] = tripped.filter(({ ended }) => ended?.who === 'unit')
  if (!lowest) return tripped[0] ? [atTrip(tripped[0], undefined, asked)] : []
  const most = all
    .filter(({ became, sag, power }) => became === 'carried' && !sag && power.x.value < lowest.power.x.value)
    .sort(byPower)
    .at(-1)
  return [atTrip(lowest, most, asked), ...(most ? [carriedBelow(most, lowest, asked)] : [])]
}

const byPower = (a: Attempt, b: Attempt) => a.power.x.value - b.power.x.value

const isRamped = ({ step }: Attempt, { analysis: { record } }: Asked): boolean =>
  testsOf(record, 'overload').some(
    ({ entry, reading }) => entry.id === step.step.id && reading.how === 'ramp',
  )

const between =
  (lowest: Attempt, most: Attempt | undefined, { analysis, claim }: Asked) =>
  () =>
    `it gave up by overload at ${sayFigure(lowest.power)}${most ? ` and carried ${sayFigure(most.power)}` : ''}${
      claim.unit === '%' ? `; rated is ${say(ratedPower(analysis.record.revision.unit) ?? 0, 'W')}` : ''
    }`

const notClosely = (asked: Asked) =>
  hindrance('not tried closely', () => ({
    why: 'Between them nothing was tried.',
    would: `Raise it in small steps through ${say(wantedOf(overloadTrip, asked), 'W')}.`,
  }))

const atTrip = (lowest: Attempt, most: Attempt | undefined, asked: Asked): Evidence => ({
  code: 'gave up',
  figure: lowest.power,
  bound: isRamped(lowest, asked) || asked.claim.comparator === 'within ±' ? 'exact' : 'at most',
  hindrances: endedByOthers(lowest.ended),
  open: notClosely(asked),
  found: between(lowest, most, asked),
})

const carriedBelow = (most: Attempt, lowest: Attempt, asked: Asked): Evidence => ({
  code: 'carried',
  figure: most.power,
  bound: 'at least',
  hindrances: [],
  open: notClosely(asked),
  found: between(lowest, most, asked),
})

/** Checks that are of the ground-fault button, whatever a tester calls it. */
const ofGroundFault = /ground.?fault|gfci|rcd|earth.?leak|residual/i

/** Its button is pressed and seen to open: that supports a sentence; how fast it opens is not measured here. */
export const groundFaultTest: Promised = {
  units: ['ms', 's', 'A'],
  usual: { unit: 'ms', comparator: 'at most' },
  at: 'limits',
  several: 'worst',
  room: 'stated',
  voltsOf: 'steady',
  evidence: ({ analysis: { record } }) => {
    const last = testsOf(record, 'function').findLast(
      ({ reading: { what, result } }) => ofGroundFault.test(what) && result !== 'not tried',
    )
    if (!last) return []
    const { entry, reading } = last
    const figure: Figure = {
      symbol: 'its button',
      unit: '',
      x: { value: 0, sources: new Map() },
      grade: 'observed',
      refused: {
        why:
          reading.result === 'passed'
            ? 'it was pressed, and it opened, as seen.'
            : 'it was pressed, and it did not open, as seen.',
        todo: 'A tester for such devices, used by somebody who is licensed, shows current and time.',
      },
      working: { formula: 'seen', inputs: [], notes: [], entries: [entry.id] },
    }
    return [
      { code: 'pressed', figure, bound: 'exact', hindrances: [], found: () => 'its button was pressed' },
    ]
  },
  absent: () => 'Its ground-fault test was not tried: press its button with a small load on.',
}
