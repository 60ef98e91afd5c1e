import type { LadderPlanned, Load, Schedule, StoredLoad, StoredUnit } from '@even-watt/contract'
import { sayUses, suitsOutlet, targetSets } from '../plan'
import { supplyOf } from '../rigs'
import { readingsOf, type Analysis, type TrialRecord } from '../trials'
import { usualKinds } from './content'
import { loadedOf } from './loaded'
import type { Day, Logged, ScheduleQuestion, Switched } from './question'
import { formatNumber } from '../figures'

/** Within this share of its hot watts an element counts as settled. */
const settledWithin = 0.01

/** s until a load takes steady watts: P(t) = P_hot + (P_cold − P_hot)e^(−t/τ), to within 1 % (docs/method/schedule.md). */
export function secondsToSettle({ warmUp }: Pick<Load, 'warmUp'>): number {
  const excess = warmUp ? Math.abs(warmUp.cold - 1) : 0
  return warmUp && excess > settledWithin ? warmUp.seconds * Math.log(excess / settledWithin) : 0
}

/** Steps of the ladder as they are switched on: what is turned on or over at a step must settle. */
function plannedSteps(
  plan: LadderPlanned | undefined,
  loads: readonly StoredLoad[],
  rated: number,
): Switched[] {
  const filled = plan?.steps.filter(({ uses }) => uses.length) ?? []
  if (!plan || !filled.length) {
    return (
      plan?.steps.length
        ? plan.steps.map(({ target }) => target)
        : targetSets[0].shares.map((share) => (share / 100) * rated)
    ).map((watts) => ({ what: `about ${formatNumber(watts, 0)} W`, watts, settle: 0 }))
  }
  return filled.map(({ uses, expected }, i) => {
    const before = new Set(filled[i - 1]?.uses.map(({ setting }) => setting))
    const fresh = uses.filter(({ setting }) => !before.has(setting))
    const settling = fresh.map(({ load }) => secondsToSettle(loads.find(({ id }) => id === load) ?? {}))
    return { what: sayUses(loads, uses), watts: expected, settle: Math.max(0, ...settling) }
  })
}

const motorKinds: readonly Load['kind'][] = ['induction motor', 'brush motor']

/** Motors of the shelf that the unit can run at all: made for its voltage, and within its rating. */
function motorsFor(loads: readonly StoredLoad[], unit: StoredUnit, rated: number): Switched[] {
  return loads
    .filter(({ kind, volts }) => motorKinds.includes(kind) && suitsOutlet({ volts }, unit.outputVoltage))
    .map(({ name, settings }) => ({
      what: name,
      watts: Math.max(...settings.map(({ watts }) => watts)),
      settle: 0,
    }))
    .filter(({ watts }) => watts <= rated)
    .sort((a, b) => a.watts - b.watts)
}

export interface ScheduleContext {
  readonly analysis: Analysis
  readonly plan: LadderPlanned | undefined
  readonly loads: readonly StoredLoad[]
  /** s of a rated hold where the claim states no time. */
  readonly hold: number
  readonly rated: number
  readonly loss: (P: number) => number
  readonly days: readonly Day[]
  readonly sayTime: (moment: number) => string
}

/** The schedule of a trial as a question to be laid. */
export function scheduleQuestion(schedule: Schedule, context: ScheduleContext): ScheduleQuestion {
  const { analysis, plan, loads, rated, loss, days, sayTime } = context
  const { unit, rig } = analysis.record.revision
  const claimed = unit.claims.find(({ quantity }) => quantity === 'continuous power')
  return {
    blocks: schedule.blocks,
    start: Date.parse(schedule.startsAt),
    days,
    steps: plannedSteps(plan, loads, rated),
    motors: motorsFor(loads, unit, rated),
    settle: schedule.settle,
    dwell: schedule.dwell,
    reading: schedule.reading,
    hold: claimed?.duration ?? context.hold,
    rated,
    loss,
    bank: rig.bank,
    supply: supplyOf(analysis.supply.known),
    charger: chargerOf(schedule, rig),
    charge: schedule.charge,
    loaded: loadedOf(analysis.record, schedule),
    sayTime,
  }
}

/** A of the charger between blocks: the one stated, else the rig's own. */
export const chargerOf = (
  { charger }: Pick<Schedule, 'charger'>,
  { support }: Analysis['record']['revision']['rig'],
): number => charger ?? (support?.kind === 'charger' ? support.current : 0)

/** A schedule to begin with: every stage in the order of work. */
export const usualSchedule = (
  unit: StoredUnit,
  newId: () => string,
  startsAt: string,
  timeZone: string,
): Schedule => ({
  startsAt,
  timeZone,
  opens: '09:00',
  closes: '17:00',
  charge: 1,
  settle: 60,
  dwell: 60,
  reading: 60,
  checkEvery: 10,
  blocks: usualKinds(unit).map((kind) => ({ id: newId(), kind, fixed: false })),
})

/** What happened to the schedule, from the record of a trial. */
export const runLog = (record: Pick<TrialRecord, 'standing'>): Logged[] =>
  readingsOf(record, 'run').map(({ at, reading }) => ({ at: Date.parse(at), event: reading }))
