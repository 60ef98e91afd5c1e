import { hindrance, type Asked, type Evidence, type Promised } from '../court'
import { remembering } from '../remember'
import { readingsOf, type RevisionRecord } from '../trials'
import { claimValue } from '../units'
import { surgeWindows } from '../waveform/limits'
import { allAttempts, anyStep } from './attempt'
import { endedByOthers, evidenceOf } from './power'
import { tooSlow } from './slowMeter'
import { bestOf, mostOf, surgeCurveOf, type SurgeCurve, type SurgePoint } from './surgeCurve'
import * as words from './surgeWords'

/** s for which a peak is asked of which no time is stated: about what a motor takes to start. */
const unstated = 1
const same = remembering<RevisionRecord, SurgeCurve>()

const curveOf = ({ analysis }: Pick<Asked, 'analysis'>): SurgeCurve =>
  same(analysis.record, [], () => surgeCurveOf(analysis))

const holdOf = ({ claim }: Asked) => claim.duration ?? unstated

/**
 * Surge power at the claim's own time, from steps and overloads that were held, and from the surge-duration curve of what was
 * captured; a claim without a time is judged at one second, and every window is said (docs/method/surge.md). Carried is what
 * stood at its volts. A load that wanted no more shows nothing of more.
 */
export const surgePower: Promised = {
  units: ['W', 'kW', 'VA'],
  usual: { unit: 'W', comparator: 'at least' },
  at: 'limits',
  several: 'attempts',
  room: 'stated',
  leavesOut: ['input', 'room'],
  voltsOf: 'carrying',
  legs: true,
  evidence: (asked) => [...bySteps(asked), ...byCaptures(asked)],
  absent: ({ analysis }) => words.absent(analysis.motors.attempts),
  beside: (verdict, asked) => {
    const { claim, leg, analysis } = asked
    const typed = analysis.motors.attempts
    if (verdict.outcome === 'not shown' && typed.length && !typed.some(({ seen }) => seen))
      return [words.onlyTyped]
    if (claim.duration !== undefined || claim.unit === 'VA' || leg || verdict.outcome === 'not tested')
      return []
    const { sources } = curveOf(asked)
    const rows = surgeWindows.flatMap((seconds) => {
      const all = sources.flatMap((source) => source.over(seconds) ?? [])
      const [carried, sagged] = [bestOf(all, false), bestOf(all, true)]
      return carried || sagged ? [{ seconds, carried, sagged }] : []
    })
    return rows.length ? words.windows(rows, claimValue(claim), unstated) : []
  },
}

function bySteps(asked: Asked): Evidence[] {
  const hold = holdOf(asked)
  const question = { wanted: claimValue(asked.claim), hold, shortEnough: hold <= anyStep, timed: true }
  // What was captured of an attempt tells more of it than what was typed.
  const captured = capturedIn(asked)
  return allAttempts(asked, hold, '90 %').flatMap((attempt) => {
    if (captured.has(attempt.step.step.id)) return []
    const slow = tooSlow(attempt, hold, asked)
    return evidenceOf(attempt, question).map((one) =>
      slow
        ? { ...one, hindrances: [hindrance('meter too slow', () => words.slow(hold)), ...one.hindrances] }
        : one,
    )
  })
}

/** Entries of which something was captured over time. */
const capturedIn = ({ claim, leg, analysis }: Asked): ReadonlySet<string> =>
  claim.unit === 'VA' || leg
    ? new Set()
    : new Set(
        readingsOf(analysis.record, 'capture').flatMap(({ reading: { about, figures } }) =>
          about !== undefined && figures.course?.P ? [about] : [],
        ),
      )

/** The best of each capture over the time that is asked: what stood, and what the unit gave while it gave out. */
function byCaptures(asked: Asked): Evidence[] {
  const { claim, leg } = asked
  if (claim.unit === 'VA' || leg) return []
  const captured = capturedIn(asked)
  return curveOf(asked)
    .sources.filter(({ entry }) => captured.has(entry))
    .flatMap((source) => source.over(holdOf(asked)) ?? [])
    .flatMap((point) => evidenceIn(point, asked))
}

function evidenceIn(point: SurgePoint, asked: Asked): Evidence[] {
  const { source, hollow, W } = point
  const hold = holdOf(asked)
  const stood: Evidence[] = hollow
    ? []
    : [
        {
          code: 'carried',
          figure: W,
          bound: 'at least',
          hindrances: [],
          open: words.wantedNoMore(asked),
          found: () => words.carried(point, hold),
        },
      ]
  const gaveOut = source.endedBy !== undefined && source.limited >= hold
  if (!gaveOut && !hollow) return stood
  const most = mostOf(point)
  return [
    ...stood,
    {
      code: 'gave out',
      figure: most,
      bound: 'at most',
      hindrances: [
        ...endedByOthers(source.endedBy),
        ...(source.endedBy ? [] : [words.nobodyTells()]),
        // It was at its limit for less than that, and then its load wanted no more.
        ...(gaveOut ? [] : [words.wantedNoMore(asked)]),
        ...(source.clipped ? [words.clipped()] : []),
      ],
      open: words.tookMore(point, asked),
      found: () => words.gaveOut(point, hold, most),
    },
  ]
}
