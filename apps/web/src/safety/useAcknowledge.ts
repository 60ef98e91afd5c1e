import type { Caution } from '@even-watt/core'
import { capture } from '../outbox/capture'
import { useTrial } from '../trials/useTrial'

/** Notes that somebody read these cautions as they now stand. */
export function useAcknowledge() {
  const { trial, analysis } = useTrial()
  return (by: string, cautions: readonly Caution[]): void => {
    capture(trial.id, {
      revision: analysis.record.revision.number,
      kind: 'make safe',
      reading: { by, cautions: cautions.map(({ name, because }) => ({ name, because })) },
    })
  }
}
