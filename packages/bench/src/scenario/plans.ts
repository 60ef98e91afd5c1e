import type {
  Block,
  BlockKind,
  EntryOf,
  LadderPlanned,
  LoadUse,
  RunEvent,
  Schedule,
  StoredLoad,
  Trial,
} from '@even-watt/contract'
import {
  choosePlan,
  expectedVoltage,
  powerCap,
  powerOf,
  questionFor,
  setOf,
  shelfFor,
  usesOf,
  viewTrial,
} from '@even-watt/core'
import { seeded, type Random } from '../random'
import { stationLoads } from './loads'

const loads: readonly StoredLoad[] = Object.values(stationLoads)
const resistive: readonly StoredLoad['kind'][] = ['element', 'filament']

/** A trial before anything was read, and the loads that suit its unit. */
function beforehand(trial: Trial) {
  const analysis = viewTrial(trial, []).analyses[0]
  if (!analysis) throw new Error('A plan needs a rig.')
  const excluded = loads.filter(({ kind }) => !resistive.includes(kind)).map(({ id }) => id)
  const shelf = shelfFor(loads, [], excluded, analysis.record.revision.unit.outputVoltage)
  return { analysis, excluded, shelf }
}

/** A ladder chosen for targets in W. */
export function chosenLadder(trial: Trial, targets: readonly number[], outlets: number): LadderPlanned {
  const { analysis, excluded, shelf } = beforehand(trial)
  const cap = powerCap(analysis, { alarm: 0, cutoff: 0, loss: (P) => 0.08 * P })
  const steps = targets.map((target) => ({ target, uses: [], expected: 0, locked: false }))
  const plan = choosePlan(questionFor(analysis, shelf, { outlets, steps }, cap.power))
  return {
    outlets,
    excluded,
    steps: plan.steps.map(({ target, set, power }) => ({
      target,
      uses: usesOf(shelf, set),
      expected: power,
      locked: false,
    })),
  }
}

/** A ladder that the tester put together by hand. */
export function ladderByHand(
  trial: Trial,
  steps: readonly (readonly [target: number, uses: readonly LoadUse[]])[],
  outlets: number,
): LadderPlanned {
  const { analysis, excluded, shelf } = beforehand(trial)
  const question = { loads: shelf.question, voltage: expectedVoltage(analysis) }
  return {
    outlets,
    excluded,
    steps: steps.map(([target, uses]) => ({
      target,
      uses: [...uses],
      expected: powerOf(question, setOf(shelf, uses)),
      locked: true,
    })),
  }
}

/** A schedule being put together, and the log of how it went. */
export class Planner {
  private readonly random: Random
  private readonly blocks: Block[] = []
  readonly log: EntryOf<'run'>[] = []

  constructor(
    seed: number,
    private readonly startsAt: string,
  ) {
    this.random = seeded(seed)
  }

  add(kind: BlockKind, more: Partial<Block> = {}): Block {
    const block = { id: this.random.id(Date.parse(this.startsAt)), kind, fixed: false, ...more }
    this.blocks.push(block)
    return block
  }

  schedule(more: Pick<Schedule, 'opens' | 'closes' | 'charge'> & Partial<Schedule>): Schedule {
    return {
      startsAt: this.startsAt,
      timeZone: 'UTC',
      settle: 60,
      dwell: 60,
      reading: 60,
      checkEvery: 10,
      ...more,
      blocks: this.blocks,
    }
  }

  /** Something that happened to a block, minutes after a moment. */
  note(
    block: Block,
    action: RunEvent['action'],
    at: string,
    minutes = 0,
    more: Partial<RunEvent> = {},
    revision = 1,
  ): void {
    const moment = Date.parse(at) + minutes * 60_000
    this.log.push({
      id: this.random.id(moment),
      revision,
      at: new Date(moment).toISOString(),
      kind: 'run',
      reading: { block: block.id, action, ...more },
    })
  }
}
