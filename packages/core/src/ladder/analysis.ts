import { isFigure, type Derived } from '../figures'
import { exact } from '../meters'
import { measureSupply, type SupplyEvidence } from '../rigs'
import type { RevisionRecord, Step, TrialRecord } from '../trials'
import { spreadsOf } from './inputs'
import { fitLoss, type FanState, type LossCurve, type LossFit, type LossPoint } from './lossFit'
import { deriveNoLoad, type NoLoadFigures } from './noLoad'
import { deriveStep, type StepContext, type StepFigures } from './step'

/** All that one rig revision of a trial says. */
export interface Analysis {
  readonly record: RevisionRecord
  /** What every step is derived with. */
  readonly context: StepContext
  readonly noLoad: NoLoadFigures
  readonly search: NoLoadFigures
  readonly steps: readonly StepFigures[]
  /** Input watts lost in the unit, measured: what its curve is fitted to. */
  readonly unitCurve: LossCurve
  /** The unit alone, from B to C. */
  readonly unitFit: LossFit | { missing: string }
  /** With its leads, from A to C. */
  readonly systemFit: LossFit | { missing: string }
  /** What was measured of the supply: load tests, surveys, and what the ladder says of it. */
  readonly supply: SupplyEvidence
}

export const hasFit = (fit: LossFit | { missing: string }): fit is LossFit => 'p0' in fit

/**
 * The analysis as it stands with one more step, still being typed: its figures beside the others, its readings
 * alone. The curve is left as it is, so that this is quick enough for every key.
 */
export function withStep(analysis: Analysis, step: Step): { analysis: Analysis; figures: StepFigures } {
  const figures = deriveStep(step, analysis.context)
  const others = analysis.steps.filter((other) => other.step.id !== step.id)
  const record = { ...analysis.record, steps: [step], noLoad: [] }
  return { analysis: { ...analysis, record, steps: [...others, figures] }, figures }
}

/** Derives every figure of one revision from its readings, and fits its curves. */
export function analyse(record: RevisionRecord): Analysis {
  const spreads = spreadsOf([
    ...record.steps.map((step) =>
      step.readings.map((entry) => ({ entry: entry.id, values: entry.reading.values })),
    ),
    record.noLoad.map((entry) => ({ entry: entry.id, values: entry.reading.values })),
  ])
  const noLoad = deriveNoLoad(record, 'on', spreads)
  const context: StepContext = { revision: record.revision, spreads, noLoadVoltage: noLoad.read.V_C }
  const steps = record.steps.filter((step) => step.readings.length).map((step) => deriveStep(step, context))
  const name = `${record.revision.unit.id}|${record.revision.number}`
  const curve = (loss: (step: StepFigures) => Derived, what: string): LossCurve => ({
    name: `${name}|${what}`,
    points: lossPoints(noLoad.P_idle, steps, loss),
  })
  const unitCurve = curve((step) => step.P_loss, 'unit')
  const systemCurve = curve((step) => step.P_systemLoss, 'system')
  return {
    record,
    context,
    noLoad,
    search: deriveNoLoad(record, 'search', spreads),
    steps,
    unitCurve,
    unitFit: fitLoss(unitCurve.points, unitCurve.name),
    systemFit: fitLoss(systemCurve.points, systemCurve.name),
    supply: measureSupply(record, steps, noLoad),
  }
}

export const analyseTrial = (trial: TrialRecord): Analysis[] => trial.revisions.map(analyse)

/** Measured figures only: a display or an estimate does not shape the curve. */
function lossPoints(
  idle: Derived,
  steps: readonly StepFigures[],
  lossOf: (step: StepFigures) => Derived,
): LossPoint[] {
  const points: LossPoint[] = []
  if (isFigure(idle) && idle.grade === 'measured') points.push({ key: 'idle', S: exact(0), loss: idle.x })
  for (const step of steps) {
    const loss = lossOf(step)
    if (!isFigure(loss) || !isFigure(step.S) || loss.grade !== 'measured') continue
    points.push({ key: step.step.id, S: step.S.x, loss: loss.x, fan: fanOf(step) })
  }
  return points
}

const fanOf = (step: StepFigures): FanState | undefined => step.step.readings.at(-1)?.reading.fan
