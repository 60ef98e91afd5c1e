import { derive, isFigure, type Derived, type Figure } from '../figures'
import { subtract, sumOf } from '../meters'
import type { RevisionRecord } from '../trials'
import type { StepFigures, NoLoadFigures } from '../ladder'
import {
  deriveLoadTest,
  fitSource,
  pathFromFits,
  type LoadTestFigures,
  type SourceFit,
  type SupplyPoint,
} from '../supply'
import { expectedResistance, placed } from './elements'
import { promisedSupply, type KnownSupply } from './known'
import { deriveSurvey, type SurveyFigures } from './survey'

/** All that was measured of a supply on one rig revision, beside what the rig promised. */
export interface SupplyEvidence {
  readonly promised: KnownSupply
  readonly loadTests: readonly LoadTestFigures[]
  readonly surveys: readonly SurveyFigures[]
  readonly atA: SourceFit | { missing: string }
  readonly atB: SourceFit | { missing: string }
  /** R_total − R_source from the ladder. */
  readonly ladderPath: Derived
  /** Sum of the newest survey, with what is expected of elements it left out. */
  readonly surveyedPath: Derived
  /** The best of all: measured where it was, promised elsewhere. */
  readonly known: KnownSupply
  /** Disagreements beyond uncertainty, in sentences. */
  readonly disagreements: readonly string[]
}

export const isFit = (fit: SourceFit | { missing: string }): fit is SourceFit => 'R' in fit

/** Derives the supply's own figures from a revision's ladder, load tests and surveys (handbook §11, §12). */
export function measureSupply(
  record: RevisionRecord,
  steps: readonly StepFigures[],
  noLoad: NoLoadFigures,
): SupplyEvidence {
  const { revision } = record
  const promised = promisedSupply(revision.rig)
  const surveys = record.surveys.map((entry) => deriveSurvey(entry, revision))
  const loadTests = record.loadTests.map((entry) => deriveLoadTest(entry, revision))
  const atA = fitSource(pointsAt(record, 'V_A', steps, noLoad), 'A')
  const atB = fitSource(pointsAt(record, 'V_B', steps, noLoad), 'B')
  const ladderPath =
    isFit(atA) && isFit(atB)
      ? pathFromFits(atB, atA)
      : { missing: isFit(atB) ? (isFit(atA) ? '' : atA.missing) : atB.missing }
  const surveyedPath = surveyed(surveys.at(-1), record)
  const bankTest = loadTests.filter(({ entry }) => entry.reading.battery === undefined).at(-1)
  const known: KnownSupply = {
    E: isFit(atA) ? atA.E : promised.E,
    R_bank: isFit(atA) ? atA.R : bankTest && isFigure(bankTest.R_10) ? bankTest.R_10 : promised.R_bank,
    R_path: isFigure(ladderPath) ? ladderPath : isFigure(surveyedPath) ? surveyedPath : promised.R_path,
    support: promised.support,
  }
  return {
    promised,
    loadTests,
    surveys,
    atA,
    atB,
    ladderPath,
    surveyedPath,
    known,
    disagreements: disagreements(ladderPath, surveyedPath, promised, atA, bankTest),
  }
}

function pointsAt(
  record: RevisionRecord,
  quantity: 'V_A' | 'V_B',
  steps: readonly StepFigures[],
  noLoad: NoLoadFigures,
): SupplyPoint[] {
  const points: SupplyPoint[] = []
  // With a support source the unit's current is not the bank's.
  const helped = record.revision.rig.support !== undefined
  const first = steps[0]?.step.readings[0]?.at
  const start = first === undefined ? 0 : hoursOf(first)
  const add = (V: Derived, I: Derived, at: string | undefined) => {
    if (!isFigure(V) || !isFigure(I) || V.grade !== 'measured' || I.grade !== 'measured') return
    points.push({ V, I, hours: at === undefined ? 0 : hoursOf(at) - start })
  }
  add(noLoad.read[quantity], noLoad.read.I, undefined)
  for (const step of steps) {
    const own = quantity === 'V_A' && (helped || isFigure(step.read.I_bank))
    const current = own ? step.read.I_bank : step.read.I
    add(step.read[quantity], current, step.step.readings[0]?.at)
  }
  return points
}

const hoursOf = (instant: string): number => Date.parse(instant) / 3_600_000

function surveyed(survey: SurveyFigures | undefined, { revision }: RevisionRecord): Derived {
  if (!survey) return { missing: 'No drop survey on this rig.' }
  const measured: Figure[] = []
  const rest = placed(revision.rig).flatMap(({ element }) => {
    const line = survey.lines.find((candidate) => candidate.element.id === element.id)
    if (line && isFigure(line.resistance)) {
      measured.push(line.resistance)
      return []
    }
    return [expectedResistance(element, revision.rig.typical, 20, String(revision.number))]
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
  test: LoadTestFigures | undefined,
): string[] {
  const found: string[] = []
  const compare = (a: Derived, b: Derived, words: (a: string, b: string) => string) => {
    if (!isFigure(a) || !isFigure(b)) return
    const gap = subtract(a.x, b.x)
    const U = 2 * Math.hypot(...gap.sources.values())
    if (Math.abs(gap.value) > U)
      found.push(words((a.x.value * 1000).toFixed(1), (b.x.value * 1000).toFixed(1)))
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
    if (test)
      compare(
        atA.R,
        test.R_10,
        (a, b) => `Over the ladder the bank shows ${a} mΩ, at 10 s ${b} mΩ: slower processes add to it.`,
      )
  }
  return found
}
