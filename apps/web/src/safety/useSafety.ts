import {
  cautionsFor,
  isFigure,
  readingsOf,
  stillToAcknowledge,
  weakestLinks,
  type Caution,
} from '@even-watt/core'
import { useMemo } from 'react'
import { api } from '../api/api'
import { type TrialState } from '../trials/useTrial'

export interface Safety {
  readonly cautions: readonly Caution[]
  readonly open: readonly Caution[]
  /** All were acknowledged, but of an earlier rig: they hold on this one as well, and somebody must say so. */
  readonly ofEarlierRig: boolean
  /** Who acknowledged each last, and when. */
  readonly by: ReadonlyMap<string, { by: string; at: string }>
}

/** A link with less than this share of its rating left is named. */
const littleMargin = 0.2

/** Cautions of the rig on screen, and which of them were not acknowledged as they now stand. */
export function useSafety({ trial, view, analysis }: TrialState): Safety {
  const { data: loads } = api.useLoadsQuery()
  return useMemo(() => {
    const { unit, rig, number } = analysis.record.revision
    const most = Math.max(
      0,
      ...analysis.ladder.steps.map(({ read }) => (isFigure(read.I) ? read.I.x.value : 0)),
    )
    const nearLimit = weakestLinks(rig, most)
      .filter(({ margin }) => margin !== undefined && margin < littleMargin)
      .map(({ name }) => name)
    const cautions = cautionsFor({ unit, rig, plan: trial.plan, loads: loads ?? [], nearLimit })
    const entries = readingsOf(view.record, 'make safe')
    const by = new Map(
      entries.flatMap(({ at, reading }) =>
        reading.cautions.map(({ name }) => [name, { by: reading.by, at }] as const),
      ),
    )
    const acknowledged = entries.flatMap(({ reading }) => reading.cautions)
    const open = stillToAcknowledge(cautions, acknowledged)
    const last = entries.at(-1)?.revision ?? number
    return { cautions, open, ofEarlierRig: !open.length && last < number, by }
  }, [trial.plan, view, analysis, loads])
}
