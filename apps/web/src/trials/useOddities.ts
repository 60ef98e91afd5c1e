import type { Oddity, TrialView } from '@even-watt/core'
import { useDeferredValue } from 'react'
import { useTrial } from './useTrial'

const none: readonly Oddity[] = []

/**
 * What is odd on the rig revision on screen. Looked for after figures and readings are drawn, so that it holds up
 * neither the hand nor the page: for that moment the oddities are those of before, at first none.
 */
export function useOddities(): readonly Oddity[] {
  const { view, analysis } = useTrial()
  const later = useDeferredValue<TrialView | undefined>(view, undefined)
  const { number } = analysis.record.revision
  const at = later?.analyses.findIndex(({ record }) => record.revision.number === number) ?? -1
  return later?.oddities[at] ?? none
}
