import type { EntryOf } from '@even-watt/contract'
import type { Figure } from '../figures'
import { judgeFigure, notTested, type Judge } from '../findings'
import { methodSource, rectangular, uncertain } from '../meters'
import { decides, sayFigure } from '../figures'
import { scopeOf, type RevisionRecord } from '../trials'
import { claimedValue, sayClaim } from '../units'
import { overloadsOf, testsOf } from './overload'

/** s by which a hand is early or late, and half a cycle for a capture (docs/method/limits.md). */
const hand = 0.3
const halfCycle = 0.01

/** A time as it was taken: by eye it supports a sentence, and decides nothing. */
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
  return {
    symbol,
    unit: 's',
    x: uncertain(
      seconds,
      methodSource(symbol, `${entry.id}|${scopeOf(record)}`),
      rectangular(seen === 'capture' ? halfCycle : hand),
    ),
    grade: seen === 'by eye' ? 'observed' : 'measured',
    working: { formula: `${symbol} taken ${words[seen]}`, inputs: [], notes: [], entries: [entry.id] },
  }
}

/** Start-up or soft start by the slowest that was timed, with nothing or something connected. */
export const judgeStartUp =
  (which: 'startUp' | 'softStart', symbol: string): Judge =>
  (evidence) => {
    const { record } = evidence.analysis
    const times = testsOf(record, 'start-up').flatMap(({ entry, reading }) => {
      const seconds = reading[which]
      return seconds === undefined ? [] : [timed(symbol, seconds, reading.seen, entry, record)]
    })
    const slowest = times.sort((a, b) => Number(decides(b)) - Number(decides(a)) || b.x.value - a.x.value)[0]
    return judgeFigure(evidence, slowest ?? { missing: 'it was not timed.' }, `Its ${symbol}`)
  }

/** How soon it came back by itself after an overload. */
export const judgeRecovery: Judge = (evidence) => {
  const { record } = evidence.analysis
  const tries = testsOf(record, 'overload').filter(
    ({ reading }) => (reading.comeback ?? 'not tried') !== 'not tried',
  )
  const slowest = tries
    .flatMap(({ entry, reading }) =>
      reading.comeback === 'by itself' && reading.comebackAfter !== undefined
        ? [timed('recovery', reading.comebackAfter, 'watch', entry, record)]
        : [],
    )
    .sort((a, b) => b.x.value - a.x.value)[0]
  const byHand = tries.find(({ reading }) => reading.comeback !== 'by itself')
  if (byHand && !slowest)
    return notTested(
      `It came back ${byHand.reading.comeback === 'not at all' ? 'not at all' : `only ${byHand.reading.comeback ?? ''}`}, against ${sayClaim(evidence.claim)}; a time by itself was not seen.`,
    )
  return judgeFigure(
    evidence,
    slowest ?? { missing: 'no overload was timed until it came back.' },
    'Its recovery',
  )
}

/** Watts at which the unit itself gave up by overload; a promise in % is of its continuous power. */
export const judgeOverloadTrip: Judge = (evidence) => {
  const { analysis, claim } = evidence
  const tripped = overloadsOf(analysis).flatMap(({ reading, step }) =>
    reading.ended === 'overload' && decides(step.P_C) ? [step.P_C] : [],
  )
  const lowest = tripped.sort((a, b) => a.x.value - b.x.value)[0]
  const rated = claimedValue(analysis.record.revision.unit, 'continuous power')
  if (claim.unit === '%' && rated === undefined)
    return notTested('The overload trip is promised in % of its continuous power, which it does not promise.')
  const asked =
    claim.unit === '%' ? { ...claim, value: (claim.value / 100) * (rated ?? 0), unit: 'W' as const } : claim
  const verdict = judgeFigure(
    { ...evidence, claim: asked },
    lowest ?? { missing: 'nothing was raised until it gave up by overload.' },
    'Where it gave up by overload',
  )
  return lowest && claim.unit === '%'
    ? {
        ...verdict,
        sentence: `It gave up by overload at ${sayFigure(lowest)} against ${sayClaim(claim)} of ${rated ?? 0} W.`,
      }
    : verdict
}
