import type { Claim, SuitFigure, Trial } from '@even-watt/contract'
import { criteria } from '../comparisons'
import { asRead, ownPromise, type Asked, type Evidence, type Promised } from '../court'
import { caseEvidence, caseTemperature, noise, type PlaceHeat } from '../endurance'
import { derive, isFigure, sayFigure, type Derived, type Figure } from '../figures'
import { distortion, regulation } from '../ladder'
import { easedBySoftStarter, goneAtSteps, surgePower } from '../limits'
import { combine } from '../meters'
import { idleDraw } from '../noLoad'
import type { Analysis } from '../trials'
import { ratedPower } from '../units'

/** What a use is asked of: one rig of a trial, and its owner’s hours. */
export interface SuitAsked {
  readonly analysis: Analysis
  readonly trial: Pick<Trial, 'id' | 'title' | 'hold' | 'duty'>
}

type Stated = Pick<Claim, 'quantity' | 'comparator' | 'value' | 'unit' | 'duration'>

/** What a need can be of: a promise of the tester’s own, judged by the court as any other. */
export interface SuitMeasure {
  readonly words: string
  /** In which a rule states its limit. */
  readonly unit: string
  /** What to do where it is not known. */
  readonly todo: string
  readonly promised: (asked: SuitAsked) => Promised
  /** The need as a promise; undefined: this unit cannot be asked, with the reason. */
  readonly stated: (limit: number, is: Claim['comparator'], asked: SuitAsked) => Stated | string
}

/** A single figure that is held against a limit. */
const ofFigure =
  (of: (asked: SuitAsked) => Derived) =>
  (asked: SuitAsked): Promised => {
    const figure = of(asked)
    return {
      ...ownPromise,
      evidence: () => (isFigure(figure) ? [asRead(figure)] : []),
      absent: () => (isFigure(figure) ? '' : figure.missing),
    }
  }

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

const inPercent =
  (quantity: Claim['quantity']) =>
  (value: number, is: Claim['comparator']): Stated => ({ quantity, comparator: is, value, unit: '%' })

/** What can be asked, each from the evidence of the trial. */
export const suitMeasures: Readonly<Record<SuitFigure, SuitMeasure>> = {
  'idle draw': {
    words: 'idle draw',
    unit: 'W',
    promised: () => idleDraw,
    stated: (value, is) => ({ quantity: 'idle draw', comparator: is, value, unit: 'W' }),
    todo: 'Read the idle draw.',
  },
  night: {
    words: 'share of the bank that a night of idle takes',
    unit: '%',
    promised: ofFigure(({ analysis }) => analysis.noLoad.on.perNight),
    stated: inPercent('idle draw'),
    todo: 'Read the idle draw, and give the bank its Ah.',
  },
  'efficiency over the hours': {
    words: 'efficiency over a usual day',
    unit: '%',
    promised: ofFigure(criterion('duty')),
    stated: inPercent('efficiency'),
    todo: 'Type the hours a day under Ladder, and read steps as heavy as they are.',
  },
  volts: {
    words: 'furthest from its nominal volts',
    unit: '%',
    promised: () => regulation,
    // A need of volts says how far they may be off, either way.
    stated: (value, is) => ({
      quantity: 'regulation',
      comparator: is === 'at most' ? 'within ±' : is,
      value,
      unit: '%',
    }),
    todo: 'Read volts at the outlet under load.',
  },
  THD: {
    words: 'highest THD',
    unit: '%',
    promised: () => distortion,
    stated: inPercent('THD'),
    todo: 'Capture a wave, or read its THD.',
  },
  surge: {
    words: 'power for a second',
    unit: '× its rated power',
    promised: () => surgePower,
    stated: (times, is, { analysis }) => {
      const rated = ratedPower(analysis.record.revision.unit)
      return rated
        ? { quantity: 'surge power', comparator: is, value: times * rated, unit: 'W', duration: 1 }
        : 'The unit states no continuous power.'
    },
    todo: 'Load it above its rated power, or start a machine, with a capture.',
  },
  start: {
    words: 'lowest volts while a machine started',
    unit: '% of nominal',
    promised: () => lowestAtStarts,
    stated: inPercent('surge power'),
    todo: 'Start a machine and note the lowest volts.',
  },
  noise: {
    words: 'loudest beside it',
    unit: 'dB(A)',
    promised: () => noise,
    stated: (value, is) => ({ quantity: 'noise', comparator: is, value, unit: 'dB(A)' }),
    todo: 'Read its noise with silent loads, and the room without it.',
  },
  case: {
    words: 'case in a room of 40 °C',
    unit: '°C',
    promised: () => caseInHotRoom,
    stated: (value, is) => ({ quantity: 'case temperature', comparator: is, value, unit: '°C' }),
    todo: 'Hold its rated load and feel the case until it settles.',
  },
  dropout: {
    words: 'how long its output is gone when a load changes',
    unit: 'ms',
    promised: () => goneAtSteps,
    stated: (value, is) => ({ quantity: 'transfer time', comparator: is, value, unit: 'ms' }),
    todo: 'Release a heavy load, and note under Limits whether the output blanks, and for how long.',
  },
}

/** Lowest volts of each start that succeeded, in % of nominal. */
const lowestAtStarts: Promised = {
  ...ownPromise,
  evidence: ({ analysis }) =>
    analysis.motors.attempts.flatMap(({ lowest, nominal, outcome, entry }): Evidence[] => {
      if (outcome !== 'started' || !isFigure(lowest)) return []
      const x = combine(lowest.x.value / nominal, [[lowest.x, 1 / nominal]])
      const share = derive('lowest at a start', '%', 'lowest V / nominal', [lowest], x)
      if (!isFigure(share)) return []
      const assisted = (entry.reading.assist ?? 1) > 1
      return [
        {
          code: outcome,
          figure: share,
          bound: 'exact',
          hindrances: assisted ? [easedBySoftStarter] : [],
          found: () =>
            `its output fell to ${sayFigure(share)} of nominal as ${entry.reading.load} was started`,
        },
      ]
    }),
  absent: () => 'No machine was started with its volts read.',
}

const inHotRoom = ({ settles, hottest, inHotRoom }: PlaceHeat): Figure => {
  const from = settles ?? hottest
  return {
    ...from,
    symbol: 'case in a room of 40 °C',
    x: { ...from.x, value: inHotRoom },
    working: { ...from.working, formula: 'T∞ + (40 − room)' },
  }
}

/** The case of every hold, carried over to a room of 40 °C. */
const caseInHotRoom: Promised = {
  ...caseTemperature,
  // It is carried over to another room than it was read in.
  room: 'stated',
  evidence: (asked: Asked) =>
    caseEvidence(asked, inHotRoom, () => 'in a room of 40 °C its case would come to'),
}
