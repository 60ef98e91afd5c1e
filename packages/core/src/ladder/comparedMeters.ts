import { capturedReadings, capturesOf, shownReadings, twoMetersAt, type TwoMeters } from '../evidence'
import { sayDuration } from '../figures'
import { logsIn } from '../logs'
import { readingsOf, scopeOf, type Analysis } from '../trials'

/** Two meters on one quantity, and under which load. */
export interface ComparedMeters extends TwoMeters {
  readonly load: string
  /** The step, or the look at a log; undefined: nothing was connected. */
  readonly step: string | undefined
}

/** Every place of one rig at which two meters read one quantity: without load, at the steps, in the logs (docs/method/meters.md). */
export function comparedMeters(analysis: Analysis): ComparedMeters[] {
  const { record, evidence, ladder } = analysis
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
    ...logsIn(analysis).flatMap((log) =>
      log.checkIns.flatMap(({ entry: { id, reading }, at }) =>
        twoMetersAt([{ entry: id, values: reading.values }], ground, evidence.spreads, `${id}|${scope}`).map(
          (one) => ({ ...one, load: `${log.entry.reading.what}, after ${sayDuration(at)}`, step: id }),
        ),
      ),
    ),
  ]
}

/** By how much of the one used the other lies above it, a fraction; undefined where the one used reads nothing. */
export const shareAbove = ({ used, other }: Pick<TwoMeters, 'used' | 'other'>): number | undefined =>
  used.x.value === 0 ? undefined : other.x.value / used.x.value - 1

/** How one meter stands to another on one quantity, over all loads. */
export interface SummedMeters {
  readonly quantity: TwoMeters['quantity']
  readonly used: string
  readonly other: string
  /** How often they were compared, how often they disagreed, and the largest E_n. */
  readonly times: number
  readonly apart: number
  readonly worst: number
  /** By how much of the one used the other lies above it, over all of them; a fraction. */
  readonly above: number
}

/** Two meters and a quantity in a line each; those that disagree most come first. What may not be compared is left out. */
export function summedMeters(lines: readonly ComparedMeters[]): SummedMeters[] {
  const sums = new Map<string, SummedMeters>()
  for (const { quantity, used, other, E_n } of lines) {
    if (E_n === undefined) continue
    const key = `${quantity}|${used.name}|${other.name}`
    const { times, apart, worst, above } = sums.get(key) ?? { times: 0, apart: 0, worst: 0, above: 0 }
    const share = shareAbove({ used, other }) ?? 0
    sums.set(key, {
      quantity,
      used: used.name,
      other: other.name,
      times: times + 1,
      apart: apart + (E_n > 1 ? 1 : 0),
      worst: Math.max(worst, E_n),
      above: (above * times + share) / (times + 1),
    })
  }
  return [...sums.values()].sort((a, b) => b.worst - a.worst)
}
