import type { Oddity } from '@even-watt/core'
import { useTrial } from './useTrial'

const none: readonly Oddity[] = []

/**
 * What is odd on the rig revision on screen. Looked for after figures and readings are drawn, so that it holds up
 * neither the hand nor the page: for that moment the oddities are those of before, at first none.
 */
export function useOddities(): readonly Oddity[] {
  const { worked, analysis } = useTrial()
  const { number } = analysis.record.revision
  const at = worked?.analyses.findIndex(({ record }) => record.revision.number === number) ?? -1
  return worked?.oddities[at] ?? none
}
