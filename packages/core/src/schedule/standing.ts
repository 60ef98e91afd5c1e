import type { BlockKind, LadderPlanned } from '@even-watt/contract'
import { stillPlanned } from '../plan'
import { readingsOf, type Analysis, type TrialRecord } from '../trials'
import type { Stretch } from './question'

/** Whether the record holds what a block is for, though no block of the schedule ran. */
function stands(
  kind: BlockKind,
  record: TrialRecord,
  { ladder }: Analysis,
  plan: LadderPlanned | undefined,
): boolean {
  const has = (...kinds: Parameters<typeof readingsOf>[1][]) =>
    kinds.some((one) => readingsOf(record, one).length > 0)
  switch (kind) {
    case 'look over':
    case 'rig':
      return has('no load', 'ladder', 'motors', 'load test', 'survey')
    case 'make safe':
      return has('make safe')
    case 'no load':
      return has('no load')
    case 'ladder':
      return ladder.steps.length > 0 && (!plan || stillPlanned(plan, ladder.steps).length === 0)
    case 'motors':
      return has('motors')
    default:
      return false
  }
}

/**
 * The planned stretches at the beginning of a schedule whose work already stands in the record, with what belongs to them
 * (a recharge, a cool-down): a run begins behind them (docs/method/schedule.md).
 */
export function alreadyStanding(
  placed: readonly Stretch[],
  record: TrialRecord,
  analysis: Analysis,
  plan: LadderPlanned | undefined,
): Stretch[] {
  const planned = placed.filter(({ state }) => state === 'planned')
  const first = planned.findIndex(({ kind }) => !stands(kind, record, analysis, plan))
  return first < 0 ? planned : planned.slice(0, first)
}
