import { mainsOf, type Analysis, type OnRig } from '@even-watt/core'
import { useMemo } from 'react'
import { api } from '../api/api'

/** A rig with all that its figures may be held against: the rig before it, and the mains of the place. */
export function useOnRig(analyses: readonly Analysis[], analysis: Analysis): OnRig {
  const { data: settings } = api.useSettingsQuery()
  const mains = settings?.mains
  const { number } = analysis.record.revision
  const before = analyses[analyses.findIndex(({ record }) => record.revision.number === number) - 1]
  return useMemo(() => ({ analysis, before, mains: mainsOf(mains) }), [analysis, before, mains])
}
