import type { ReportBlock, ReportPlan } from '@even-watt/contract'
import { composed, isPut } from '@even-watt/core'
import { useMemo } from 'react'
import type { Stage } from '../stage'
import { useStages } from '../trials/stageContext'
import type { TrialState } from '../trials/useTrial'

/** Parts that belong to no stage. */
export const rigsPart = 'Rig by rig'
export const methodPart = 'Method'
export const metersPart = 'Meters'
export const withdrawnPart = 'What does not count'

/** What stands in the short form: the answer, the unit, and what was seen. */
const brief: ReadonlySet<string> = new Set(['Questions', 'Findings', 'The unit', 'Photographs', metersPart])

export interface Composition {
  readonly blocks: readonly ReportBlock[]
  readonly inRigs: readonly ReportBlock[]
}

/** A report as it is composed: its parts in their order, and those within each rig. */
export function useReport({ trial: { report } }: Pick<TrialState, 'trial'>): Composition {
  const stages = useStages()
  return useMemo(() => compositionOf(stages, report), [stages, report])
}

export function compositionOf(stages: readonly Stage[], report: ReportPlan | undefined): Composition {
  const at = (place: string) =>
    stages.flatMap(({ report: parts = [] }) =>
      parts.filter((part) => part.place === place).map(({ words }) => words),
    )
  const usual = [
    ...at('answer'),
    ...at('unit'),
    methodPart,
    metersPart,
    rigsPart,
    withdrawnPart,
    ...at('end'),
  ]
  return {
    blocks: composed(usual, report?.blocks),
    inRigs: composed(at('rig'), report?.inRigs),
  }
}

/** Everything shown, or only what a reader in a hurry asks for; what the tester put there stays. */
export const withForm = ({ blocks, inRigs }: Composition, form: 'long' | 'short'): Composition => ({
  blocks: blocks.map((block) => ({
    ...block,
    shown: isPut(block) || form === 'long' || brief.has(block.key),
  })),
  inRigs: inRigs.map((block) => ({ ...block, shown: true })),
})
