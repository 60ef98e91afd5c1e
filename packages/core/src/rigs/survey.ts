import type { EntryOf, PathElement, Revision, Rig } from '@even-watt/contract'
import { assumedCurrent, readOn } from '../evidence'
import { derive, estimated, isFigure, whenKnown, type Derived, type Figure } from '../figures'
import {
  divide,
  expanded,
  methodSource,
  multiply,
  rectangular,
  subtract,
  uncertain,
  type Uncertain,
} from '../meters'
import { bankNominal } from '../supply'
import { expectedResistance, isCable, placed, type SideName } from './elements'

/** What a drop survey says of one element (docs/method/rigs.md). */
export interface SurveyLine {
  readonly element: PathElement
  readonly side: SideName
  readonly drop: Derived
  readonly resistance: Derived
  readonly expected: Derived
  /** R·I² at the test current. */
  readonly watts: Derived
  /** Measured over expected. */
  readonly ratio: number | undefined
  /** More than 1.5 times what is expected, beyond uncertainty. */
  readonly excessive: boolean
  /** Over 50 mV or 3 W at the test current, where it is a joint or more than expected. */
  readonly hot: boolean
  /** What making it sound returns: measured − expected, Ω; undefined when there is nothing to gain. */
  readonly gain: Uncertain | undefined
}

export interface SurveyFigures {
  readonly entry: EntryOf<'survey'>
  /** As read; without an ammeter bounded from the output watts. */
  readonly current: Derived
  /** In path order. */
  readonly lines: readonly SurveyLine[]
  /** The excessive ones, most watts first: the first to fix stands first. */
  readonly toFix: readonly SurveyLine[]
  /** Ids whose drop would be negative: the reading order or a reading is wrong. */
  readonly negative: readonly string[]
}

const flagRatio = 1.5
const hotVolts = 0.05
const hotWatts = 3

/**
 * Drops measured across each element at one steady current, or volts at successive points against one reference, set
 * against what is expected of each. Readings of elements that are not in the rig are left out.
 */
export function deriveSurvey(entry: EntryOf<'survey'>, revision: Revision, scope = ''): SurveyFigures {
  const survey = entry.reading
  const { rig } = revision
  const current = surveyCurrent(entry, revision)
  const lines: SurveyLine[] = []
  const negative: string[] = []
  const before = new Map<SideName, Figure>()
  const volts = (symbol: string, value: number, where: string) =>
    readOn(symbol, 'V', value, survey.voltmeter, entry.id, revision, `${entry.id} ${where}`)
  if (survey.method === 'points') {
    for (const side of ['positive', 'negative'] as const) {
      const post = survey.posts?.[side]
      if (post !== undefined) before.set(side, volts('V_post', post, `${side} post`))
    }
  }
  for (const { side, element } of placed(rig)) {
    const reading = survey.readings.find((one) => one.element === element.id)
    if (!reading) {
      // A gap in the points: the next drop spans both, so it belongs to neither.
      if (survey.method === 'points') before.delete(side)
      continue
    }
    const read = volts('V', reading.volts, element.id)
    const start = before.get(side)
    if (survey.method === 'points') {
      before.set(side, read)
      if (!start) continue
    }
    const x = start ? (side === 'positive' ? subtract(start.x, read.x) : subtract(read.x, start.x)) : read.x
    if (x.value < 0 && Math.abs(x.value) > expanded(x)) negative.push(element.id)
    const drop = derive(
      'drop',
      'mV',
      start ? 'V before − V after' : 'read across it',
      start ? [start, read] : [read],
      x,
    )
    lines.push(lineOf(element, side, drop, current, revision.rig, scope))
  }
  const toFix = lines.filter(({ excessive }) => excessive).sort((a, b) => wattsOf(b) - wattsOf(a))
  return { entry, current, lines, toFix, negative }
}

/** Share by which a bank's volts may stand off its nominal ones while it is loaded. */
const offNominal = 0.1

function surveyCurrent(entry: EntryOf<'survey'>, revision: Revision): Derived {
  const { current, power, ammeter, wattmeter } = entry.reading
  if (current !== undefined) return readOn('I', 'A', current, ammeter, entry.id, revision, entry.id)
  if (power === undefined) return { missing: 'Neither amps nor watts were read.' }
  const P = readOn('P_C', 'W', power, wattmeter, entry.id, revision, `${entry.id} P_C`)
  const nominal = bankNominal(revision.rig.bank)
  const V = estimated(
    'V_nominal',
    'V',
    uncertain(nominal, methodSource('nominal volts', entry.id), rectangular(offNominal * nominal)),
    'nominal volts of the bank, ± 10 %',
  )
  return whenKnown([V], ([volts]) => assumedCurrent(P, volts, entry.id))
}

const wattsOf = ({ watts }: SurveyLine) => (isFigure(watts) ? watts.x.value : 0)

function lineOf(
  element: PathElement,
  side: SideName,
  drop: Derived,
  current: Derived,
  rig: Rig,
  scope: string,
): SurveyLine {
  const expectedX = expectedResistance(element, rig.typical, 20, scope)
  const expected = estimated(
    'R_expected',
    'mΩ',
    expectedX,
    element.resistance !== undefined
      ? 'as stated for it'
      : isCable(element)
        ? 'f·ρ20·ℓ/(n·A) at 20 °C'
        : 'from the table of usual resistances',
  )
  if (!isFigure(drop) || !isFigure(current)) {
    const missing = isFigure(drop) ? current : drop
    return {
      element,
      side,
      drop,
      resistance: missing,
      expected,
      watts: missing,
      ratio: undefined,
      excessive: false,
      hot: false,
      gain: undefined,
    }
  }
  const R = divide(drop.x, current.x)
  const watts = derive('P', 'W', 'drop·I', [drop, current], multiply(drop.x, current.x))
  // Above 1.5 times what is expected, beyond the uncertainty of both: usual values are only usual.
  const over = subtract(R, { value: expectedX.value * flagRatio, sources: expectedX.sources })
  const excessive = over.value > expanded(over)
  const gain = subtract(R, expectedX)
  return {
    element,
    side,
    drop,
    resistance: derive('R', 'mΩ', 'drop / I', [drop, current], R),
    expected,
    watts,
    ratio: expectedX.value > 0 ? R.value / expectedX.value : undefined,
    excessive,
    hot:
      (excessive || !isCable(element)) &&
      (drop.x.value > hotVolts || (isFigure(watts) && watts.x.value > hotWatts)),
    gain: excessive ? gain : undefined,
  }
}

/** Surveys of one revision at nearly one current show whether a joint's drop rises as it warms (oddity 13). */
export function warming(
  surveys: readonly SurveyFigures[],
): { element: PathElement; from: Figure; to: Figure }[] {
  const [first, last] = [surveys[0], surveys.at(-1)]
  if (!first || !last || first === last) return []
  if (!isFigure(first.current) || !isFigure(last.current)) return []
  if (Math.abs(first.current.x.value - last.current.x.value) > 0.02 * last.current.x.value) return []
  return last.lines.flatMap((late) => {
    const early = first.lines.find(({ element }) => element.id === late.element.id)
    if (!early || !isFigure(early.drop) || !isFigure(late.drop)) return []
    const rise = subtract(late.drop.x, early.drop.x)
    return rise.value > expanded(rise) && rise.value > 0.1 * early.drop.x.value
      ? [{ element: late.element, from: early.drop, to: late.drop }]
      : []
  })
}

/** Amps through a known resistance from the volts across it, with the uncertainty of both (docs/method/rigs.md). */
export const asShunt = (volts: Uncertain, resistance: Uncertain): Uncertain => divide(volts, resistance)
