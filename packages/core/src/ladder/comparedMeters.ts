import { capturedReadings, capturesOf, shownReadings, twoMetersAt, type TwoMeters } from '../evidence'
import { readingsOf, scopeOf, type Analysis } from '../trials'

/** Two meters on one quantity, and under which load. */
export interface ComparedMeters extends TwoMeters {
  readonly load: string
  /** The step; undefined: nothing was connected. */
  readonly step: string | undefined
}

/** Every place of one rig at which two meters read one quantity, without load first (docs/method/meters.md). */
export function comparedMeters({ record, evidence, ladder }: Analysis): ComparedMeters[] {
  const ground = { revision: record.revision, gate: evidence.gate, checks: evidence.checks }
  const scope = scopeOf(record)
  const idle = readingsOf(record, 'no load').filter(({ reading }) => reading.mode === 'on')
  return [
    ...twoMetersAt(
      [...shownReadings(idle), ...capturedReadings(capturesOf(record, idle), idle, record)],
      ground,
      evidence.spreads,
      `no load on|${scope}`,
    ).map((one) => ({
      ...one,
      load: 'nothing connected',
      step: undefined,
    })),
    ...ladder.steps.flatMap(({ step, load }) =>
      twoMetersAt(
        [...shownReadings(step.readings), ...capturedReadings(step.captures, step.readings, record)],
        ground,
        evidence.spreads,
        `${step.id}|${scope}`,
      ).map((one) => ({
        ...one,
        load,
        step: step.id,
      })),
    ),
  ]
}
