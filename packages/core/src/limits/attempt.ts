import { isFigure, type Figure } from '../figures'
import type { Evidence } from '../findings'
import type { StepFigures } from '../ladder'
import { expanded } from '../meters'
import { claimValue } from '../units'

/** One step as an attempt at a power claim. */
export interface Attempt {
  readonly power: Figure
  readonly step: StepFigures
  readonly held: number
  readonly alarm: string
  readonly end: string
  /** How far the output is outside the unit's own regulation claim, beyond uncertainty. */
  readonly outOfRegulation: Figure | undefined
}

export function attemptOf(step: StepFigures, { analysis }: Evidence): Attempt | undefined {
  if (!isFigure(step.P_C)) return undefined
  const readings = step.step.readings.map((entry) => entry.reading)
  const claimed = analysis.record.revision.unit.claims.find(
    (claim) => claim.quantity === 'regulation' && claim.unit === '%',
  )
  const deviation = step.regulation
  const outside =
    claimed &&
    isFigure(deviation) &&
    Math.abs(deviation.x.value) - claimValue(claimed) > expanded(deviation.x)
      ? deviation
      : undefined
  return {
    power: step.P_C,
    step,
    held: Math.max(0, ...readings.map((reading) => reading.held ?? 0)),
    alarm: readings.find((reading) => reading.alarm && reading.alarm !== 'none')?.alarm ?? 'none',
    end: readings.find((reading) => reading.end && reading.end !== 'carried')?.end ?? 'carried',
    outOfRegulation: outside,
  }
}
