import type { DutyLine } from '@even-watt/contract'
import { decides, derive, isFigure, say, type Derived, type Figure } from '../figures'
import { dutyEfficiency, hasFit, mostCarried, peakOf, reachesOutside, type StepFigures } from '../ladder'
import { combine, divide, scale, type Uncertain } from '../meters'
import type { Compared } from './compared'

/** One figure by which units are compared, and which way is better. */
export interface Criterion {
  readonly key: string
  readonly words: string
  /** Absent: it says what was tried, not what the unit could; it is told, and decides nothing. */
  readonly better?: 'more' | 'less'
  /** How far they lie apart is told, and is neither better nor worse. */
  readonly neutral?: true
  readonly of: (one: Compared, hours: Hours, beside: readonly Compared[]) => Derived
}

/** Hours at each load, W, that all are held against: one owner’s, whoever tested it. */
export type Hours = readonly DutyLine[]

export const criteria: readonly Criterion[] = [
  {
    key: 'idle',
    words: 'idle draw',
    better: 'less',
    of: ({ analysis }) => deciding(analysis.noLoad.on.P_idle, 'No idle draw was measured.'),
  },
  { key: 'peak', words: 'efficiency at its best load', better: 'more', of: bestEfficiency },
  { key: 'duty', words: 'efficiency over a usual day', better: 'more', of: overHours },
  { key: 'day', words: 'lost on a usual day', better: 'less', of: lostADay },
  { key: 'carried', words: 'most that was carried', of: ({ analysis }) => mostCarried(analysis) },
  {
    key: 'volts',
    words: 'furthest from its nominal volts',
    better: 'less',
    of: (one, _, beside) =>
      acrossLoads(
        'furthest',
        one,
        beside,
        ({ regulation }) => regulation,
        'No volts under load were measured.',
      ),
  },
  {
    key: 'THD',
    words: 'highest THD',
    better: 'less',
    of: (one, _, beside) =>
      acrossLoads('furthest', one, beside, ({ read }) => read.THD, 'No distortion was measured.'),
  },
]

const deciding = (figure: Derived, why: string): Derived =>
  isFigure(figure) ? (decides(figure) ? figure : { missing: why }) : figure

const idleFigures = ({ analysis }: Compared): Figure[] =>
  isFigure(analysis.noLoad.on.P_idle) ? [analysis.noLoad.on.P_idle] : []

/** A figure that a curve gives; its entries are those of the steps behind it. */
const fromCurve = (
  one: Compared,
  symbol: string,
  unit: '%' | 'Wh',
  formula: string,
  x: Uncertain,
  notes: readonly string[] = [],
): Derived =>
  derive(
    symbol,
    unit,
    formula,
    [
      ...idleFigures(one),
      ...one.analysis.ladder.steps.flatMap(({ carried, P_loss }) =>
        carried && decides(P_loss) ? [P_loss] : [],
      ),
    ],
    x,
    notes,
  )

const noCurve = 'It has no curve: three steps or more that follow one are needed.'

function bestEfficiency(one: Compared): Derived {
  const { unitFit } = one.analysis.ladder
  if (!hasFit(unitFit)) return { missing: noCurve }
  const peak = peakOf(unitFit)
  return peak
    ? fromCurve(one, 'η at its best load', '%', 'peak of η(P) = P / (P + P_loss)', peak.eta)
    : { missing: 'Its best load lies outside what was measured.' }
}

const loadsOf = (hours: Hours): number[] => hours.map(({ load }) => load)

/** Hours of the owner that its curve covers; a sentence where it does not. */
function covered(one: Compared, hours: Hours) {
  const { unitFit } = one.analysis.ladder
  if (!hours.length) return { missing: 'The hours a day are not typed yet.' }
  if (!hasFit(unitFit)) return { missing: noCurve }
  return reachesOutside(unitFit, loadsOf(hours))
    ? { missing: 'The owner’s loads reach outside what was measured.' }
    : unitFit
}

function overHours(one: Compared, hours: Hours): Derived {
  const fit = covered(one, hours)
  if ('missing' in fit) return fit
  const eta = dutyEfficiency(fit, hours)
  return eta
    ? fromCurve(one, 'η over the hours', '%', 'Σh·P / Σh·(P + P_loss), idle included', eta)
    : { missing: 'The hours a day are all without a load.' }
}

/** Wh a day that do not reach the outlet, hours of more or less than a day brought to one. */
function lostADay(one: Compared, hours: Hours): Derived {
  const fit = covered(one, hours)
  if ('missing' in fit) return fit
  const eta = dutyEfficiency(fit, hours)
  const out = hours.reduce((sum, { hours: h, load }) => sum + h * load, 0)
  const all = hours.reduce((sum, { hours: h }) => sum + h, 0)
  if (!eta || !(all > 0)) return { missing: 'The hours a day are all without a load.' }
  if (out === 0) return idleADay(one)
  const drawn = divide({ value: out, sources: new Map() }, eta)
  const lost = combine(drawn.value - out, [[drawn, 1]])
  return fromCurve(one, 'lost a day', 'Wh', 'Σh·P_loss, idle included', scale(lost, 24 / all))
}

const idleADay = (one: Compared): Derived => one.analysis.noLoad.on.perDay

interface At {
  readonly figure: Figure
  readonly watts: number
}

/** A figure of a step of one of those that are compared. */
export type OfStep = (step: StepFigures, one: Compared) => Derived

/** A figure at each step that was carried; one whose watts nobody knows may have been the heaviest. */
const overSteps = (one: Compared, of: OfStep): At[] =>
  one.analysis.ladder.steps.flatMap((step) => {
    const figure = of(step, one)
    const watts = isFigure(step.P_C) ? step.P_C.x.value : Infinity
    return step.carried && decides(figure) ? [{ figure, watts }] : []
  })

/** Loads that are this share apart are as good as one. */
export const loadApart = 0.1

/** Which of several values stands for all of them. */
const foremost = {
  furthest: (x: number) => Math.abs(x),
  highest: (x: number) => x,
  lowest: (x: number) => -x,
} as const

/** Of a figure over the loads: the highest, the lowest, or the furthest from nought, whose size is told. */
export type OverLoads = keyof typeof foremost

/**
 * One figure of all steps that were carried. What sags or distorts at a heavy load is not seen at a light one: beside others it
 * is taken over the loads that all of them carried.
 */
export function acrossLoads(
  which: OverLoads,
  one: Compared,
  beside: readonly Compared[],
  of: OfStep,
  why: string,
): Derived {
  const tops = beside
    .map((other) => overSteps(other, of).map(({ watts }) => watts))
    .flatMap((watts) => (watts.length ? [Math.max(...watts)] : []))
  const upTo = Math.min(...tops) / (1 - loadApart)
  const own = overSteps(one, of)
  if (!own.length) return { missing: why }
  const size = foremost[which]
  const [most] = own
    .filter(({ watts }) => watts <= upTo)
    .sort((a, b) => size(b.figure.x.value) - size(a.figure.x.value))
  if (!most)
    return { missing: `It was read only over ${say(Math.min(...tops), 'W')}, which others did not carry.` }
  const { figure } = most
  const below = which === 'furthest' && figure.x.value < 0
  const short = own.some(({ watts }) => watts > upTo)
  if (!below && !short) return figure
  return derive(
    figure.symbol,
    figure.unit,
    below ? `|${figure.symbol}|` : figure.symbol,
    [figure],
    below ? scale(figure.x, -1) : figure.x,
    short ? [`Over the loads up to ${say(Math.min(...tops), 'W')}, which all of them carried.`] : [],
  )
}
