import type { Claim, SuitFigure, Trial } from '@even-watt/contract'
import { criteria } from '../compare'
import { heatOf, noisesOf } from '../endurance'
import { decides, derive, isFigure, say, type Derived, type Figure } from '../figures'
import { notTested, type Verdict } from '../findings'
import { judgeSurge } from '../limits'
import { combine } from '../meters'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'

/** What a use is asked of: one rig of a trial, and its owner’s hours. */
export interface SuitAsked {
  readonly analysis: Analysis
  readonly trial: Pick<Trial, 'id' | 'title' | 'hold' | 'duty'>
}

interface Measure {
  readonly words: string
  /** In which a rule states its limit. */
  readonly unit: string
  /** What to do where it is not known. */
  readonly todo: string
  /** Why a clear figure does not show it yet, in a sentence; undefined: it does. A missed one is missed all the same. */
  readonly notYet?: (asked: SuitAsked) => string | undefined
}

/** Either a figure that is held against the limit, or a judge where more than a figure decides. */
export type SuitMeasure = Measure &
  (
    | { readonly of: (asked: SuitAsked) => Derived }
    | { readonly judged: (limit: number, asked: SuitAsked) => Verdict }
  )

const criterion =
  (key: string) =>
  (asked: SuitAsked): Derived =>
    criteria.find((one) => one.key === key)?.of({ ...asked, findings: [], name: '' }, asked.trial.duty) ?? {
      missing: `No such criterion: ${key}.`,
    }

/** What can be asked, each from the evidence of the trial. */
export const suitMeasures: Readonly<Record<SuitFigure, SuitMeasure>> = {
  'idle draw': {
    words: 'idle draw',
    unit: 'W',
    of: criterion('idle'),
    todo: 'Read the idle draw.',
  },
  night: {
    words: 'share of the bank that a night of idle takes',
    unit: '%',
    of: ({ analysis }) => analysis.noLoad.on.perNight,
    todo: 'Read the idle draw, and give the bank its Ah.',
  },
  'efficiency over the hours': {
    words: 'efficiency over the owner’s hours',
    unit: '%',
    of: criterion('duty'),
    todo: 'Give the owner’s hours, and read a ladder that reaches them.',
  },
  volts: {
    words: 'furthest from its nominal volts',
    unit: '%',
    of: criterion('volts'),
    notYet: loadedLightly,
    todo: 'Read volts at the outlet under load.',
  },
  THD: {
    words: 'highest THD',
    unit: '%',
    of: criterion('THD'),
    notYet: loadedLightly,
    todo: 'Capture a wave, or read its THD.',
  },
  surge: {
    words: 'power for a second',
    unit: '× its rated power',
    judged: surgeJudged,
    todo: 'Load it above its rated power, or start a machine, with a capture.',
  },
  start: {
    words: 'lowest volts while a machine started',
    unit: '% of nominal',
    of: lowestAtStart,
    todo: 'Start a machine and note the lowest volts.',
  },
  noise: {
    words: 'loudest beside it',
    unit: 'dB(A)',
    of: loudest,
    notYet: withoutFan,
    todo: 'Read its noise with silent loads, and the room without it.',
  },
  case: {
    words: 'case in a room of 40 °C',
    unit: '°C',
    of: caseInHotRoom,
    todo: 'Hold its rated load and feel the case until it settles.',
  },
}

/**
 * A second of so many times its rated power, as a promise of it would be judged: what nobody tried is not known, and
 * only a unit that itself gave out is said not to.
 */
function surgeJudged(times: number, { analysis, trial }: SuitAsked): Verdict {
  const rated = ratedPower(analysis.record.revision.unit)
  if (!rated) return notTested('The unit states no continuous power.')
  const claim: Claim = {
    id: 'rule',
    quantity: 'surge power',
    comparator: 'at least',
    value: times * rated,
    unit: 'W',
    duration: 1,
    readWhere: 'a rule',
  }
  return judgeSurge({ claim, analysis, settings: trial, limiter: undefined })
}

/** Share of its rated power up to which a unit must have been loaded before nothing worse is to be feared. */
const nearRated = 0.8

function loadedLightly({ analysis }: SuitAsked): string | undefined {
  const rated = ratedPower(analysis.record.revision.unit)
  const most = Math.max(
    0,
    ...analysis.ladder.steps.flatMap(({ carried, P_C }) => (carried && decides(P_C) ? [P_C.x.value] : [])),
  )
  return rated !== undefined && most < nearRated * rated
    ? `It was loaded to ${say(most, 'W', 2)} of ${say(rated, 'W')} only.`
    : undefined
}

function withoutFan({ analysis }: SuitAsked): string | undefined {
  const heard = noisesOf(analysis).some(
    ({ entry, level }) => level && ['on', 'speed'].includes(entry.reading.fan ?? ''),
  )
  return heard ? undefined : 'Its fan was not heard to run.'
}

/** Lowest volts of all starts that succeeded, in % of nominal. */
function lowestAtStart({ analysis }: SuitAsked): Derived {
  const lows = analysis.motors.attempts.flatMap(({ lowest, nominal, outcome }): Figure[] => {
    if (outcome !== 'started' || !isFigure(lowest)) return []
    const share = derive(
      'lowest at a start',
      '%',
      'lowest V / nominal',
      [lowest],
      combine(lowest.x.value / nominal, [[lowest.x, 1 / nominal]]),
    )
    return isFigure(share) ? [share] : []
  })
  const [lowest] = lows.sort((a, b) => a.x.value - b.x.value)
  return lowest ?? { missing: 'No machine was started with its volts read.' }
}

const highest = (figures: readonly Figure[]): Figure | undefined =>
  [...figures].sort((a, b) => b.x.value - a.x.value)[0]

function loudest({ analysis }: SuitAsked): Derived {
  const levels = noisesOf(analysis).flatMap(({ level }) => (level && decides(level) ? [level] : []))
  return highest(levels) ?? { missing: 'Its noise was not read, or not told from the room.' }
}

/** The hottest case of all holds at rated power, carried over to a room of 40 °C. */
function caseInHotRoom({ analysis }: SuitAsked): Derived {
  const rated = analysis.logs.filter(({ entry }) => entry.reading.what === 'rated hold')
  const cases = rated.flatMap((log) =>
    heatOf(log, analysis).filter(({ place, settles }) => place === 'case' && settles !== undefined),
  )
  const [hottest] = cases.sort((a, b) => b.inHotRoom - a.inHotRoom)
  return hottest?.settles
    ? derive('case in a room of 40 °C', '°C', 'T∞ + (40 − room)', [hottest.settles], {
        ...hottest.settles.x,
        value: hottest.inHotRoom,
      })
    : { missing: 'No hold at rated power was watched until its case settled.' }
}
