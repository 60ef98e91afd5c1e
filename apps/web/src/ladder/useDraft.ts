import { nextPosition } from '@even-watt/core'
import { useCallback, useMemo, useState } from 'react'
import { v7 } from 'uuid'
import { capture } from '../outbox/outbox'
import { useTrial } from '../trials/useTrial'
import { buildEntry, emptyDraft, fieldsOf, type Draft, type EntryField } from './draft'

export interface DraftState {
  readonly draft: Draft
  readonly fields: readonly EntryField[]
  readonly change: (patch: Partial<Draft>) => void
  readonly type: (key: string, text: string) => void
  readonly clear: () => void
  /** Captures the step when nothing is at fault; else the faults are shown. */
  readonly captureStep: () => boolean
  /** Shown at their fields once the field was left or capture was tried. */
  readonly faults: Readonly<Record<string, string>>
  readonly insisted: boolean
  readonly ids: { readonly id: string; readonly step: string }
}

function kept(key: string): Draft {
  const text = localStorage.getItem(key)
  return text === null ? emptyDraft : { ...emptyDraft, ...(JSON.parse(text) as Partial<Draft>) }
}

/** The step being typed: kept in the browser at every key, so that nothing typed is lost. */
export function useDraft(): DraftState {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const key = `draft ladder ${trial.id} ${revision.number}`
  const [draft, setDraft] = useState(() => kept(key))
  const [ids, setIds] = useState(() => ({ id: v7(), step: v7() }))
  const [insisted, setInsisted] = useState(false)
  const fields = useMemo(() => fieldsOf(revision.rig), [revision.rig])
  const position = nextPosition(analysis.ladder.recorded)

  const put = useCallback(
    (next: Draft) => {
      setDraft(next)
      localStorage.setItem(key, JSON.stringify(next))
    },
    [key],
  )
  const change = (patch: Partial<Draft>) => put({ ...draft, ...patch })
  const type = (field: string, text: string) =>
    put({
      ...draft,
      texts: { ...draft.texts, [field]: text },
      times: { ...draft.times, [field]: new Date().toISOString() },
    })
  const startNext = () => {
    setDraft(emptyDraft)
    setIds({ id: v7(), step: v7() })
    setInsisted(false)
  }
  const clear = () => {
    startNext()
    localStorage.removeItem(key)
  }
  const build = () =>
    buildEntry(draft, fields, { ...ids, position, revision: revision.number, at: new Date().toISOString() })
  const captureStep = () => {
    const { entry, faults } = build()
    if (Object.keys(faults).length) {
      setInsisted(true)
      return false
    }
    // The draft stays in the browser until the capture itself is kept there.
    const typedText = JSON.stringify(draft)
    void capture(trial.id, [entry]).then(() => {
      if (localStorage.getItem(key) === typedText) localStorage.removeItem(key)
    })
    startNext()
    return true
  }
  const { faults } = buildEntry(draft, fields, {
    ...ids,
    position,
    revision: revision.number,
    at: '2000-01-01T00:00:00Z',
  })
  return { draft, fields, change, type, clear, captureStep, faults, insisted, ids }
}
