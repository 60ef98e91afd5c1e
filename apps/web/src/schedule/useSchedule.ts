import type { Schedule } from '@even-watt/contract'
import {
  checkInsOf,
  lateness,
  runLog,
  scheduleOf,
  scheduleQuestion,
  type CheckIn,
  type Day,
  type Logged,
  type Scheduled,
} from '@even-watt/core'
import { useMemo } from 'react'
import { useShelf } from '../plan/useShelf'
import { useUnitQuestion } from '../rigs/atOnce/useUnitQuestion'
import { type TrialState } from '../trials/useTrial'
import { clockOf, daysFor, type Clock } from './days'

export interface ScheduleState {
  readonly schedule: Schedule
  readonly clock: Clock
  readonly days: readonly Day[]
  /** As it was made. */
  readonly made: Scheduled
  /** As it stands: what was begun where it really happened, the rest behind now. */
  readonly stands: Scheduled
  /** ms that each stretch lies later than it was made, by key. */
  readonly late: ReadonlyMap<string, number>
  readonly checkIns: readonly CheckIn[]
  readonly log: readonly Logged[]
}

const dayLength = 86_400_000

/** The trial's schedule laid in time; undefined: there is none yet. Until it is begun, now plays no part. */
export function useSchedule(state: TrialState, now: number): ScheduleState | undefined {
  const { trial, analysis, view } = state
  const { loads, plan } = useShelf(state)
  const unit = useUnitQuestion(analysis)
  const { schedule, hold } = trial
  const log = useMemo(() => runLog(view.record), [view.record])
  const begun = log.length > 0
  // Days are added only when the date changes, not at every tick.
  const today = begun ? Math.floor(now / dayLength) * dayLength : undefined
  const base = useMemo(() => {
    if (!schedule) return undefined
    const clock = clockOf(schedule.timeZone)
    const days = daysFor(schedule, today)
    const question = scheduleQuestion(schedule, {
      analysis,
      plan,
      loads,
      hold,
      rated: unit.claim ?? Math.max(0, ...(plan?.steps.map(({ expected }) => expected) ?? [])),
      loss: unit.loss,
      days,
      sayTime: clock.both,
    })
    return { schedule, clock, days, question, made: scheduleOf(question) }
  }, [schedule, plan, hold, loads, analysis, unit, today])
  // The schedule moves with the clock only once it is run, and then by the half minute.
  const moment = begun ? Math.floor(now / 30_000) * 30_000 : 0
  return useMemo(() => {
    if (!base) return undefined
    const { question, made, schedule: planned, ...rest } = base
    const last = Math.max(moment, ...log.map(({ at }) => at))
    const stands = log.length ? scheduleOf(question, log, last) : made
    return {
      ...rest,
      schedule: planned,
      made,
      stands,
      late: lateness(made, stands),
      checkIns: checkInsOf(stands.placed, planned.checkEvery, log),
      log,
    }
  }, [base, log, moment])
}
