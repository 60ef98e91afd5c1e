import type { EntryOf } from '@even-watt/contract'
import { derive, formatNumber, isFigure, type Derived, type Figure } from '../figures'
import { isLowered, type StepFigures } from '../ladder'
import { subtract, sumOf } from '../meters'
import type { NoLoadFigures } from '../noLoad'
import { remembering } from '../remember'
import {
  deriveSurvey,
  expectedResistance,
  placed,
  promisedSupply,
  type KnownSupply,
  type MeasuredSupply,
  type SurveyFigures,
} from '../rigs'
import {
  deriveLoadTest,
  fitSupply,
  testedBank,
  type LoadTestFigures,
  type SourceFit,
  type SupplyPoint,
} from '../supply'
import { readingsOf, scopeOf, type Analysis, type RevisionRecord } from '../trials'

/** All that was measured of a supply on one rig revision, beside what the rig promised. */
export interface SupplyEvidence extends MeasuredSupply {
  /** On this rig. */
  readonly loadTests: readonly LoadTestFigures[]
  /** Ω of the bank by load tests, those of earlier rigs too. */
  readonly tested: Derived
  readonly atA: SourceFit | { missing: string }
  readonly atB: SourceFit | { missing: string }
  /** Steps that say nothing of the bank, with the volts they lack where that was found rather than marked. */
  readonly off: ReadonlyMap<string, number | undefined>
  /** Sum of the newest survey, with what is expected of elements it left out. */
  readonly surveyedPath: Derived
  /** Disagreements beyond uncertainty, in sentences. */
  readonly disagreements: readonly string[]
}

declare module '../trials/analysis' {
  interface Analysis {
    readonly supply: SupplyEvidence
  }
}

export const isFit = (fit: SourceFit | { missing: string }): fit is SourceFit => 'R' in fit

const sameSurvey = remembering<EntryOf<'survey'>, SurveyFigures>()
const samePath = remembering<SurveyFigures, Derived>()

/** Derives the supply's own figures from a revision's ladder, load tests and surveys (docs/method/conductors.md). */
export function measureSupply({ record, ladder: { steps }, noLoad }: Analysis): SupplyEvidence {
  const { revision } = record
  const scope = scopeOf(record)
  const promised = promisedSupply(revision.rig, scope)
  const surveys = readingsOf(record, 'survey').map((entry) =>
    sameSurvey(entry, [revision, scope], () => deriveSurvey(entry, revision, scope)),
  )
  const [loadTests = [], ...before] = [record, ...record.earlier.toReversed()].map((one) =>
    readingsOf(one, 'load test').map((entry) => deriveLoadTest(entry, one.revision)),
  )
  const tested = testedBank(revision, [...before.toReversed().flat(), ...loadTests], scope)
  const { atA, atB, path: ladderPath, off } = fitSupply(pointsOf(record, steps, noLoad.on), `supply|${scope}`)
  const survey = surveys.at(-1)
  const surveyedPath = survey ? samePath(survey, [], () => pathOf(survey, record)) : notSurveyed
  const known: KnownSupply = {
    E: isFit(atA) ? atA.E : promised.E,
    R_bank: isFit(atA) ? atA.R : isFigure(tested) ? tested : promised.R_bank,
    R_path: isFigure(ladderPath) ? ladderPath : isFigure(surveyedPath) ? surveyedPath : promised.R_path,
    support: promised.support,
  }
  return {
    scope,
    promised,
    loadTests,
    tested,
    surveys,
    atA,
    atB,
    ladderPath,
    surveyedPath,
    off,
    known,
    disagreements: disagreements(ladderPath, surveyedPath, promised, atA, tested),
  }
}

/** What the ladder's steps and the idle reading say of the supply. */
function pointsOf(
  record: RevisionRecord,
  steps: readonly StepFigures[],
  noLoad: NoLoadFigures,
): SupplyPoint[] {
  // With a support source the unit's current is not the bank's.
  const helped = record.revision.rig.support !== undefined
  const first = steps[0]?.step.readings[0]?.at
  const start = first === undefined ? 0 : hoursOf(first)
  const point = ({ V_A, V_B, I, I_bank }: NoLoadFigures['read'], hours: number): SupplyPoint => ({
    hours,
    V_A,
    V_B,
    I,
    I_bank: helped || isFigure(I_bank) ? I_bank : I,
  })
  return [
    point(noLoad.read, 0),
    ...steps.map(({ step, read }) => {
      const at = step.readings[0]?.at
      return {
        ...point(read, at === undefined ? 0 : hoursOf(at) - start),
        step: step.id,
        lowered: isLowered(step),
      }
    }),
  ]
}

const hoursOf = (instant: string): number => Date.parse(instant) / 3_600_000

const notDescribed: Derived = {
  missing: 'The leads are not described, so a survey of the other parts is not the whole path.',
}
const notSurveyed: Derived = { missing: 'No drop survey on this rig.' }

function pathOf(survey: SurveyFigures, record: RevisionRecord): Derived {
  const { revision } = record
  if (revision.rig.leads === 'not known') return notDescribed
  const measured: Figure[] = []
  const rest = placed(revision.rig).flatMap(({ element }) => {
    const line = survey.lines.find((candidate) => candidate.element.id === element.id)
    if (line && isFigure(line.resistance)) {
      measured.push(line.resistance)
      return []
    }
    return [expectedResistance(element, revision.rig.typical, 20, scopeOf(record))]
  })
  const total = sumOf([...measured.map(({ x }) => x), ...rest])
  const note = rest.length
    ? [`${rest.length} elements were not surveyed; what is expected of them is added.`]
    : []
  return derive('R_path', 'mΩ', 'sum of the survey', measured, total, note)
}

function disagreements(
  ladder: Derived,
  survey: Derived,
  promised: KnownSupply,
  atA: SourceFit | { missing: string },
  tested: Derived,
): string[] {
  const found: string[] = []
  const compare = (a: Derived, b: Derived, words: (a: string, b: string) => string) => {
    if (!isFigure(a) || !isFigure(b)) return
    const gap = subtract(a.x, b.x)
    const U = 2 * Math.hypot(...gap.sources.values())
    if (Math.abs(gap.value) > U)
      found.push(words(formatNumber(a.x.value * 1000, 1), formatNumber(b.x.value * 1000, 1)))
  }
  compare(
    ladder,
    survey,
    (a, b) =>
      `The ladder says ${a} mΩ of path, the survey ${b} mΩ: something changed between them, or one current is wrong.`,
  )
  compare(
    ladder,
    promised.R_path,
    (a, b) => `The ladder says ${a} mΩ of path where ${b} mΩ are expected: look for the joint.`,
  )
  if (isFit(atA)) {
    compare(atA.R, promised.R_bank, (a, b) => `The ladder says ${a} mΩ of bank where ${b} mΩ are stated.`)
    compare(
      atA.R,
      tested,
      (a, b) => `Over the ladder the bank shows ${a} mΩ, at 10 s ${b} mΩ: slower processes add to it.`,
    )
  }
  return found
}
