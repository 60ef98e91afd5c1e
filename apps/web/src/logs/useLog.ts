import type { Log } from '@even-watt/core'
import { useSearchParams } from 'react-router'
import { useTrial } from '../trials/useTrial'

/** The log that the address names, on the rig that is shown. */
export function useLog(): Log | undefined {
  const [search] = useSearchParams()
  const { analysis } = useTrial()
  return analysis.logs.find(({ entry }) => entry.id === search.get('of'))
}
