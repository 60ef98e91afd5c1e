import type { Claim, ClaimUnit, OwnLimit, Outcome } from '@even-watt/contract'
import {
  asRead,
  court,
  isNotMet,
  outcomeOf,
  ownPromise,
  rule,
  wordsOf,
  type Asked,
  type Promised,
} from '../court'
import { decides, isFigure, plain, sayFigure, shownFactor, sayTemperature, type Figure } from '../figures'
import type { OnRig } from '../held'
import type { StepFigures } from '../ladder'
import { catalogue, type Catalogue } from './catalogue'
import { chosenAtNoLoad, chosenAtStep, chosenOnRig, sayChosen, unitOfChosen } from './chosen'

/** A limit of the tester’s own, and how it was kept. */
export interface JudgedLimit {
  readonly limit: OwnLimit
  /** "volts at the outlet from nothing connected in per cent, at most 3 %". */
  readonly words: string
  readonly outcome: Outcome
  readonly sentence: string
  /** The steps that break it, the lightest load first. */
  readonly broken: readonly StepFigures[]
}

/** "at most 3 %", in the unit in which its figure is told. */
export function sayLimit({ of, is, value }: OwnLimit, from: Catalogue = catalogue): string {
  const unit = unitOfChosen(of, from)
  return `${is} ${unit === '°C' ? sayTemperature(value, 1) : `${plain(value)}${unit && ` ${unit}`}`}`
}

/** One figure at one place, with the place in words. */
interface Read {
  readonly figure: Figure
  readonly step?: StepFigures
  readonly where: string
}

function readOf({ of }: OwnLimit, on: OnRig, from: Catalogue): Read[] {
  if (!from.step(of.figure)) {
    const figure = chosenOnRig(of, on, 'highest', from)
    return isFigure(figure) ? [{ figure, where: '' }] : []
  }
  const idle = chosenAtNoLoad(of, on, from)
  return [
    ...(idle && isFigure(idle) ? [{ figure: idle, where: ', with nothing connected' }] : []),
    ...on.analysis.ladder.steps.flatMap((step): Read[] => {
      const figure = chosenAtStep(of, step, on, from)
      const at = [step.load, isFigure(step.P_C) && sayFigure(step.P_C)].filter(Boolean).join(', ')
      return isFigure(figure) ? [{ figure, step, where: `, at ${at}` }] : []
    }),
  ]
}

/**
 * Judges a limit of the tester’s own by everything that was read on one rig, warned or not: the court does as with a promise,
 * and the steps that break it are named (docs/method/catalogue.md).
 */
export function judgeLimit(limit: OwnLimit, on: OnRig, from: Catalogue = catalogue): JudgedLimit {
  const { of, is, value } = limit
  const unit = unitOfChosen(of, from)
  const wanted = value / shownFactor(unit)
  const read = readOf(limit, on, from)
  const promised: Promised = {
    ...ownPromise,
    wanted: () => wanted,
    evidence: () => read.map(({ figure, where }) => asRead(figure, where)),
    absent: () => 'Nothing of it was read yet.',
  }
  // Its unit may be one that no label prints: what is wanted is given beside it.
  const claim: Claim = {
    id: limit.id,
    quantity: 'regulation',
    comparator: is,
    value,
    unit: unit as ClaimUnit,
    readWhere: 'own limit',
  }
  const asked: Asked = { claim, analysis: on.analysis, settings: { hold: 0 }, limiter: undefined }
  const verdict = court(promised, asked)
  const breaking = read.filter(({ figure }) => {
    const ruling = decides(figure) ? rule(figure.x, 'exact', is, wanted) : undefined
    return ruling !== undefined && isNotMet(outcomeOf(ruling))
  })
  const broken = breaking.flatMap(({ step }) => step ?? []).sort((a, b) => wattsOf(a) - wattsOf(b))
  return {
    limit,
    words: `${sayChosen(of, from)}, ${sayLimit(limit, from)}`,
    outcome: verdict.outcome,
    sentence: [wordsOf(verdict, promised, asked).sentence, firstOf(broken)].filter(Boolean).join(' '),
    broken,
  }
}

const wattsOf = ({ P_C }: StepFigures): number => (isFigure(P_C) ? P_C.x.value : Infinity)

/** The lightest load at which it breaks. */
function firstOf(broken: readonly StepFigures[]): string {
  const [first] = broken
  if (!first) return ''
  const watts = isFigure(first.P_C) ? ` (${sayFigure(first.P_C)})` : ''
  return `It breaks first at ${first.load}${watts}.`
}
