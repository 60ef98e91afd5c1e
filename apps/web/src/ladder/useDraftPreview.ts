import { notice, withStep, type Oddity, type StepFigures } from '@even-watt/core'
import { useDeferredValue, useMemo } from 'react'
import { useTrial } from '../trials/useTrial'
import { buildEntry } from './draft'
import type { DraftState } from './useDraft'

interface Preview {
  readonly figures: StepFigures | undefined
  readonly oddities: readonly Oddity[]
}

const nothing: Preview = { figures: undefined, oddities: [] }
const soon = '9999-12-31T00:00:00.000Z'

/**
 * Figures and oddities of the step being typed, as if it were captured. Worked out after the key was drawn, so
 * that it never holds up the hand.
 */
export function useDraftPreview({ draft, fields, ids }: DraftState): Preview {
  const { trial, analysis } = useTrial()
  const later = useDeferredValue(draft)
  return useMemo(() => {
    const { record } = analysis
    const { entry } = buildEntry(later, fields, {
      ...ids,
      position: Number.MAX_SAFE_INTEGER,
      revision: record.revision.number,
      at: soon,
    })
    if (!entry.reading.values.length && !entry.reading.display) return nothing
    const existing = analysis.ladder.recorded.find((step) => step.id === entry.reading.step)
    const kept = existing?.readings.filter((reading) => reading.id !== later.replaces?.entry) ?? []
    const step = {
      id: entry.reading.step,
      position: entry.reading.position,
      readings: [...kept, entry],
      struck: existing?.struck ?? [],
      captures: existing?.captures ?? [],
    }
    const whole = withStep(analysis, step)
    return {
      figures: whole.figures,
      oddities: notice(whole.analysis, trial.plan).filter(
        (oddity) => oddity.at.step === step.id || oddity.at.entry === entry.id,
      ),
    }
  }, [analysis, trial.plan, later, fields, ids])
}
