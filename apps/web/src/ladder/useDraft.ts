import { nextPosition } from '@even-watt/core'
import { useCallback, useMemo, useState } from 'react'
import { v7 } from 'uuid'
import { capture, moment } from '../outbox/capture'
import { useSlips, type Slip } from '../trials/useSlips'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { drafts, resembles } from '../ui/browserStore'
import { buildEntry, emptyDraft, fieldAt, fieldsOf, type Draft, type EntryField } from './draft'

export interface DraftState {
  readonly draft: Draft
  readonly fields: readonly EntryField[]
  readonly change: (patch: Partial<Draft>) => void
  readonly type: (key: string, text: string) => void
  /** Begins another step; what is half typed waits, and comes back after it. */
  readonly interrupt: (draft: Draft) => void
  /** How many half typed steps wait. */
  readonly waiting: number
  readonly clear: () => void
  /** Captures the step when nothing is at fault; else the faults are shown. */
  readonly captureStep: () => boolean
  /** What may have slipped, and the answer: the step is then captured. */
  readonly slip: { readonly slip: Slip; readonly answer: (meant: boolean) => boolean } | undefined
  /** Shown at their fields once the field was left or capture was tried. */
  readonly faults: Readonly<Record<string, string>>
  readonly insisted: boolean
  readonly ids: { readonly id: string; readonly step: string }
}

const isDraft = (draft: unknown): draft is Draft =>
  resembles(emptyDraft, draft) && [draft.texts, draft.times, draft.ranges].every(ofText)

function kept(name: string): Draft {
  const draft = drafts.read(name)
  return isDraft(draft) ? draft : emptyDraft
}

/** Half typed steps that wait until another is done, the one that waits longest first. */
function waitingIn(name: string): readonly Draft[] {
  const list = drafts.read(name)
  return Array.isArray(list) ? list.filter(isDraft) : []
}

/** Something of it was typed, and is worth keeping. */
const isTyped = ({ load, texts, note, observed }: Draft): boolean =>
  [load, note, observed, ...Object.values(texts)].some((text) => text.trim() !== '')

const ofText = (texts: object) => Object.values(texts).every((text) => typeof text === 'string')

/** The step being typed: kept in the browser at every key, so that nothing typed is lost. */
export function useDraft(): DraftState {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const key = `ladder ${trial.id} ${revision.number}`
  const [draft, setDraft] = useState(() => kept(key))
  const waitKey = `${key} waiting`
  const [waiting, setWaiting] = useState(() => waitingIn(waitKey))
  const wait = (list: readonly Draft[]) => {
    setWaiting(list)
    if (list.length) drafts.keep(waitKey, list)
    else drafts.drop(waitKey)
  }
  const [ids, setIds] = useState(() => ({ id: v7(), step: v7() }))
  const [insisted, setInsisted] = useState(false)
  /** What the contract says of the step as it was when capture was last tried. */
  const [refused, setRefused] = useState<Readonly<Record<string, string>>>({})
  const fields = useMemo(() => fieldsOf(revision.rig), [revision.rig])
  const position = nextPosition(analysis.ladder.recorded)

  const slips = useSlips(analysis)
  const [slip, setSlip] = useState<Slip>()
  const put = useCallback(
    (next: Draft) => {
      setDraft(next)
      setRefused({})
      setSlip(undefined)
      drafts.keep(key, next)
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
  const interrupt = (next: Draft) => {
    if (isTyped(draft)) {
      wait([...waiting, draft])
      answer('What was half typed waits, and comes back after this.')
    }
    put(next)
  }
  // A meter stays on its range from step to step; what waited comes back.
  const startNext = () => {
    const back = waiting.at(-1)
    if (back) wait(waiting.slice(0, -1))
    setDraft(back ?? { ...emptyDraft, ranges: draft.ranges })
    setRefused({})
    setIds({ id: v7(), step: v7() })
    setInsisted(false)
    return back
  }
  const keepOnly = (back: Draft | undefined) => (back ? drafts.keep(key, back) : drafts.drop(key))
  const clear = () => keepOnly(startNext())
  const captureOf = (typed: Draft): boolean => {
    const now = moment()
    const { entry, faults } = buildEntry(typed, fields, {
      ...ids,
      ...now,
      position,
      revision: revision.number,
    })
    if (Object.keys(faults).length) {
      setInsisted(true)
      return false
    }
    const slipped = slips.first(
      fields.map(({ key, quantity }) => ({ name: key, quantity, text: typed.texts[key] })),
    )
    setSlip(slipped)
    if (slipped) return false
    const captured = capture(trial.id, { ...entry, ...now })
    if ('faults' in captured) {
      setRefused(
        Object.fromEntries(
          captured.faults.map(({ path, message }) => [fieldAt(path, entry, fields), message]),
        ),
      )
      setInsisted(true)
      return false
    }
    const back = startNext()
    // The draft stays in the browser until the capture itself is kept there.
    void captured.kept.then(() => {
      answer(`Captured: ${entry.reading.load}.`)
      if (JSON.stringify(drafts.read(key)) === JSON.stringify(typed)) keepOnly(back)
    })
    return true
  }
  const captureStep = () => captureOf(draft)
  const answerSlip = (meant: boolean): boolean => {
    if (!slip) return false
    if (!meant) slips.isRight(slip)
    const next = meant ? { ...draft, texts: { ...draft.texts, [slip.name]: slip.meant } } : draft
    put(next)
    return captureOf(next)
  }
  const { faults } = buildEntry(draft, fields, {
    ...ids,
    position,
    revision: revision.number,
    at: '2000-01-01T00:00:00Z',
  })
  return {
    draft,
    fields,
    change,
    type,
    interrupt,
    waiting: waiting.length,
    clear,
    captureStep,
    slip: slip && { slip, answer: answerSlip },
    faults: { ...faults, ...refused },
    insisted,
    ids,
  }
}
