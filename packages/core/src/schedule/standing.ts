import type { BlockKind, LadderPlanned, LogKind, ReadingKind } from '@even-watt/contract'
import { stillPlanned } from '../plan'
import { readingsOf, type Analysis, type TrialRecord } from '../trials'
import type { Stretch } from './question'

interface Known {
  readonly record: TrialRecord
  readonly ladder: Analysis['ladder']
  readonly plan: LadderPlanned | undefined
}

const has = ({ record }: Known, ...kinds: ReadingKind[]) =>
  kinds.some((kind) => readingsOf(record, kind).length > 0)
/** Whether a log of a kind was begun. */
const logged =
  (what: LogKind) =>
  ({ record }: Known): boolean =>
    readingsOf(record, 'log').some(({ reading }) => reading.what === what)
const anyRead = (known: Known) => has(known, 'no load', 'ladder', 'motors', 'load test', 'survey')

/** Whether the record holds what a block is for, though no block of the schedule ran; of other blocks it never tells. */
const tells: Readonly<Partial<Record<BlockKind, (known: Known) => boolean>>> = {
  'look over': anyRead,
  rig: anyRead,
  'make safe': (known) => has(known, 'make safe'),
  'no load': (known) => has(known, 'no load'),
  ladder: ({ ladder: { steps }, plan }) =>
    steps.length > 0 && (!plan || stillPlanned(plan, steps).length === 0),
  motors: (known) => has(known, 'motors'),
  'rated hold': logged('rated hold'),
  'run-down': logged('run-down'),
  soak: logged('soak'),
  charge: logged('charge'),
  ports: (known) => has(known, 'port'),
}

/**
 * The planned stretches at the beginning of a schedule whose work already stands in the record, with what belongs to them
 * (a recharge, a cool-down): a run begins behind them (docs/method/schedule.md).
 */
export function alreadyStanding(
  placed: readonly Stretch[],
  record: TrialRecord,
  { ladder }: Analysis,
  plan: LadderPlanned | undefined,
): Stretch[] {
  const planned = placed.filter(({ state }) => state === 'planned')
  const first = planned.findIndex(({ kind }) => !tells[kind]?.({ record, ladder, plan }))
  return first < 0 ? planned : planned.slice(0, first)
}
