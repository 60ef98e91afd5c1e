import type { Revision } from '@even-watt/contract'
import { decides, isFigure, type Derived, type Figure } from '../figures'
import { lazily } from '../lazily'
import { exact, type Uncertain } from '../meters'
import { remembering } from '../remember'
import { scopeOf, type Analysis } from '../trials'
import { fitLoss, type LossFit, type NoCurve } from './lossFit'
import { type FanState, type LossPoint, scatterOfLoss } from './lossPoint'
import { deriveStep, type StepContext, type StepFigures } from './step'
import { stepsOf, type Step } from './steps'

/** What the ladder of one revision says. */
export interface LadderAnalysis {
  /** What every step is derived with. */
  readonly context: StepContext
  /** Every step as it was recorded, those too of which no reading stands. */
  readonly recorded: readonly Step[]
  readonly steps: readonly StepFigures[]
  /** The unit alone, from B to C. */
  readonly unitFit: LossFit | NoCurve
  /** With its leads, from A to C. */
  readonly systemFit: LossFit | NoCurve
}

declare module '../trials/analysis' {
  interface Analysis {
    readonly ladder: LadderAnalysis
  }
}

/**
 * The analysis as it stands with one more step, still being typed: its figures beside the others, its readings
 * alone. The curve is left as it is, so that this is quick enough for every key.
 */
export function withStep(analysis: Analysis, step: Step): { analysis: Analysis; figures: StepFigures } {
  const { context, steps } = analysis.ladder
  const figures = deriveStep(step, context)
  const others = steps.filter((other) => other.step.id !== step.id)
  const record = { ...analysis.record, standing: new Map([['ladder', step.readings] as const]), struck: [] }
  const ladder = { ...analysis.ladder, recorded: [step], steps: [...others, figures] }
  return { analysis: { ...analysis, record, ladder }, figures }
}

const sameContext = remembering<Revision, StepContext>()
const sameFigures = remembering<Step, StepFigures>()

/** Derives the figures of every step of one revision, and fits its curves. */
export function analyseLadder({ record, evidence, noLoad }: Analysis): LadderAnalysis {
  const scope = scopeOf(record)
  const { revision } = record
  const { gate, checks, spreads } = evidence
  const noLoadVoltage = noLoad.on.read.V_C
  const context = sameContext(revision, [scope, gate, checks, spreads, noLoadVoltage], () => ({
    revision,
    scope,
    gate,
    checks,
    spreads,
    noLoadVoltage,
  }))
  const recorded = stepsOf(record)
  const steps = recorded
    .filter(({ readings }) => readings.length)
    .map((step) => sameFigures(step, [context], () => deriveStep(step, context)))
  const fit = (loss: (step: StepFigures) => Derived, what: string) =>
    fitLoss(lossPoints(noLoad.on.P_idle, steps, loss), `${what}|${scope}`)
  // The rows stand before the curves are fitted, which on a long ladder take as long as all else.
  return lazily({
    context: () => context,
    recorded: () => recorded,
    steps: () => steps,
    unitFit: () => fit((step) => step.P_loss, 'unit'),
    systemFit: () => fit((step) => step.P_systemLoss, 'system'),
  })
}

/** Steps that were carried, and figures that may decide, only. */
function lossPoints(
  idle: Derived,
  steps: readonly StepFigures[],
  lossOf: (step: StepFigures) => Derived,
): LossPoint[] {
  const points: LossPoint[] = []
  const add = (key: string, S: Uncertain, { x }: Figure, fan?: FanState) =>
    points.push({ key, S, loss: x, scatter: scatterOfLoss(x.value), fan })
  if (decides(idle)) add('idle', exact(0), idle)
  for (const step of steps) {
    const loss = lossOf(step)
    if (!step.carried || !decides(loss) || !isFigure(step.S)) continue
    add(step.step.id, step.S.x, loss, fanOf(step))
  }
  return points
}

const fanOf = (step: StepFigures): FanState | undefined => step.step.readings.at(-1)?.reading.fan
