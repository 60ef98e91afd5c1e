import type { OwnLimit, Trial } from '@even-watt/contract'
import { judgeLimit, type JudgedLimit, type OnRig } from '@even-watt/core'
import { useMemo } from 'react'
import { api } from '../api/api'

/** Whether a limit holds in this trial alone, or in all trials of the bench. */
export type LimitScope = 'this trial' | 'every trial'

export interface ScopedLimit extends JudgedLimit {
  readonly scope: LimitScope
}

const none: readonly OwnLimit[] = []

/** The tester’s own limits, those of the bench first, judged by what was read on a rig. */
export function useOwnLimits(trial: Pick<Trial, 'ownLimits'>, on: OnRig): readonly ScopedLimit[] {
  const { data: settings } = api.useSettingsQuery()
  const ofBench = settings?.ownLimits ?? none
  const ofTrial = trial.ownLimits ?? none
  return useMemo(() => {
    const judged = (limits: readonly OwnLimit[], scope: LimitScope) =>
      limits.map((limit) => ({ ...judgeLimit(limit, on), scope }))
    return [...judged(ofBench, 'every trial'), ...judged(ofTrial, 'this trial')]
  }, [ofBench, ofTrial, on])
}

/** What each step breaks, in words, by its id. */
export function brokenBy(limits: readonly JudgedLimit[]): ReadonlyMap<string, string> {
  const broken = new Map<string, string>()
  for (const { words, broken: steps } of limits)
    for (const { step } of steps) {
      const before = broken.get(step.id)
      broken.set(step.id, before ? `${before}; ${words}` : `Breaks a limit of your own: ${words}`)
    }
  return broken
}
