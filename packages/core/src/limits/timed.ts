import type { EntryOf } from '@even-watt/contract'
import { judge, judgeFigure, notShown, notTested, type Judge } from '../findings'
import { methodSource, rectangular, uncertain } from '../meters'
import { decides, say, sayFigure, type Figure } from '../figures'
import { scopeOf, type RevisionRecord } from '../trials'
import { claimedValue, claimValue, sayClaim } from '../units'
import { allAttempts, isMotor } from './attempt'
import { overloadsOf, testsOf } from './overload'
import { capturedSoftStart } from './softStart'

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
      const captured = which === 'softStart' ? capturedSoftStart(entry.id, record) : undefined
      if (captured !== undefined) return [timed(symbol, captured, 'capture', entry, record)]
      const seconds = reading[which]
      return seconds === undefined ? [] : [timed(symbol, seconds, reading.seen, entry, record)]
    })
    const slowest = times.sort((a, b) => Number(decides(b)) - Number(decides(a)) || b.x.value - a.x.value)[0]
    return judgeFigure(evidence, slowest ?? { missing: 'It was not timed.' }, `Its ${symbol}`)
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
  const verdict = judgeFigure(
    evidence,
    slowest ?? { missing: 'No overload was timed until it came back.' },
    'Its recovery',
  )
  const once = `Once it came back ${byHand?.reading.comeback === 'not at all' ? 'not at all' : `only ${byHand?.reading.comeback ?? ''}`}.`
  return byHand ? { ...verdict, sentence: `${verdict.sentence} ${once}` } : verdict
}

/**
 * Watts at which the unit itself gave up by overload; a promise in % is of its continuous power. Loads come in steps: it lies
 * between the most that was carried and the least at which it gave up, unless the watts were ramped (docs/method/limits.md).
 */
export const judgeOverloadTrip: Judge = (evidence) => {
  const { analysis, claim } = evidence
  const rated = claimedValue(analysis.record.revision.unit, 'continuous power')
  if (claim.unit === '%' && rated === undefined)
    return notTested('The overload trip is promised in % of its continuous power, which it does not promise.')
  const asked =
    claim.unit === '%' ? { ...claim, value: (claim.value / 100) * (rated ?? 0), unit: 'W' as const } : claim
  const [lowest] = overloadsOf(analysis)
    .flatMap(({ reading, step: { P_C } }) =>
      reading.ended === 'overload' && decides(P_C) ? [{ at: P_C, ramped: reading.how === 'ramp' }] : [],
    )
    .sort((a, b) => a.at.x.value - b.at.x.value)
  if (!lowest)
    return notTested('The overload trip was not tested: nothing was raised until it gave up by overload.')
  const [most] = allAttempts({ ...evidence, claim: asked })
    .filter(({ carried, power, step }) => carried && decides(power) && !isMotor(step))
    .map(({ power }) => power)
    .filter(({ x }) => x.value < lowest.at.x.value)
    .sort((a, b) => b.x.value - a.x.value)
  const against = `${sayClaim(claim)}${claim.unit === '%' ? ` of ${say(rated ?? 0, 'W')}` : ''}`
  const sentence = `It gave up by overload at ${sayFigure(lowest.at)}${most ? ` and carried ${sayFigure(most)}` : ''}, against ${against}.`
  const wanted = claimValue(asked)
  const past = (figure: Figure | undefined) => figure !== undefined && figure.x.value >= wanted
  // What it carried shows that it gives up no earlier; where it gave up, that it does so no later.
  const shows = asked.comparator === 'within ±' || past(lowest.at) === past(most) || lowest.ramped
  if (!shows)
    return notTested(
      `The overload trip was not tested closely enough. ${sentence} Raise it in small steps through ${say(wanted, 'W')}.`,
    )
  const figure = most && past(most) && !lowest.ramped ? most : lowest.at
  return { outcome: judge(figure.x, asked.comparator, wanted), figure, sentence }
}

/** Checks that are of the ground-fault button, whatever a tester calls it. */
const ofGroundFault = /ground.?fault|gfci|rcd|earth.?leak|residual/i

/** Its button is pressed and seen to open: that supports a sentence; how fast it opens is not measured here. */
export const judgeGroundFault: Judge = (evidence) => {
  const last = testsOf(evidence.analysis.record, 'function')
    .map(({ reading }) => reading)
    .findLast(({ what, result }) => ofGroundFault.test(what) && result !== 'not tried')
  if (!last) return notTested('Its ground-fault test was not tried: press its button with a small load on.')
  return notShown(
    evidence,
    'meter',
    last.result === 'passed'
      ? 'Its button was pressed, and it opened, as seen.'
      : 'Its button was pressed, and it did not open, as seen.',
    'A tester for such devices, used by somebody who is licensed, shows current and time.',
  )
}
