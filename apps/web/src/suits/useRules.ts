import type { SuitRule } from '@even-watt/contract'
import { usualRules } from '@even-watt/core'
import { api } from '../api/api'

/** The uses of this bench; those that it begins with until it has its own. */
export function useRules(): readonly SuitRule[] {
  const { data } = api.useSettingsQuery()
  return data?.suits ?? usualRules
}
