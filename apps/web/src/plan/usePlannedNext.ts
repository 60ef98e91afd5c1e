import type { LoadKind, LoadUse } from '@even-watt/contract'
import { kindOfUses, sayUses, stillPlanned } from '@even-watt/core'
import { useMemo } from 'react'
import { useTrial } from '../trials/useTrial'
import { useShelf } from './useShelf'

/** A planned step as the entry row takes it. */
export interface TakenStep {
  readonly load: string
  readonly kind: LoadKind
  readonly uses: readonly LoadUse[]
  readonly expected: number
}

/** The step that the plan says comes next, and how many more are planned after it; undefined: none. */
export function usePlannedNext(): { readonly step: TakenStep; readonly more: number } | undefined {
  const state = useTrial()
  const { loads, plan } = useShelf(state)
  const { steps } = state.analysis.ladder
  return useMemo(() => {
    const next = plan ? stillPlanned(plan, steps) : []
    const [first] = next
    if (!first || !loads.length) return undefined
    const { uses, expected } = first.step
    return {
      step: { load: sayUses(loads, uses), kind: kindOfUses(loads, uses), uses, expected },
      more: next.length - 1,
    }
  }, [plan, steps, loads])
}
