import type { Claim, SuitFigure, Trial } from '@even-watt/contract'
import { criteria } from '../compare'
import { heatOf, judgeNoise } from '../endurance'
import { decides, derive, isFigure, say, type Derived, type Figure } from '../figures'
import { nearlyAll, notTested, type Judge, type Verdict } from '../findings'
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
  (asked: SuitAsked): Derived => {
    const one = { ...asked, findings: [], name: '' }
    return (
      criteria.find((criterion) => criterion.key === key)?.of(one, asked.trial.duty, [one]) ?? {
        missing: `No such criterion: ${key}.`,
      }
    )
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
    judged: noiseJudged,
    todo: 'Read its noise with silent loads, and the room without it.',
  },
  case: {
    words: 'case in a room of 40 °C',
    unit: '°C',
    of: caseInHotRoom,
    todo: 'Hold its rated load and feel the case until it settles.',
  },
}

/** What a use needs as a promise would be judged: what nobody tried is not known, and only what is the unit's own breaks it. */
function asPromised(
  judged: Judge,
  claim: Pick<Claim, 'quantity' | 'comparator' | 'value' | 'unit' | 'duration'>,
  { analysis, trial }: SuitAsked,
): Verdict {
  const asked = { id: 'rule', readWhere: 'a rule', ...claim }
  return judged({ claim: asked, analysis, settings: trial, limiter: undefined })
}

/** A second of so many times its rated power. */
function surgeJudged(times: number, asked: SuitAsked): Verdict {
  const rated = ratedPower(asked.analysis.record.revision.unit)
  if (!rated) return notTested('The unit states no continuous power.')
  const value = times * rated
  return asPromised(
    judgeSurge,
    { quantity: 'surge power', comparator: 'at least', value, unit: 'W', duration: 1 },
    asked,
  )
}

function noiseJudged(value: number, asked: SuitAsked): Verdict {
  return asPromised(judgeNoise, { quantity: 'noise', comparator: 'at most', value, unit: 'dB(A)' }, asked)
}

function loadedLightly({ analysis }: SuitAsked): string | undefined {
  const rated = ratedPower(analysis.record.revision.unit)
  const most = Math.max(
    0,
    ...analysis.ladder.steps.flatMap(({ carried, P_C }) => (carried && decides(P_C) ? [P_C.x.value] : [])),
  )
  return rated !== undefined && most < nearlyAll * rated
    ? `It was loaded to ${say(most, 'W', 2)} of ${say(rated, 'W')} only.`
    : undefined
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
