import type { Oddity, StepFigures } from '@even-watt/core'
import { useRef, type RefObject } from 'react'
import { OddityNotices } from '../oddities/OddityNotices'
import { SlipQuestion } from '../trials/SlipQuestion'
import { Notice } from '../ui/Notice'
import { BeyondRating } from './BeyondRating'
import { columns } from './columns'
import { EntryCells } from './EntryCells'
import { EntryChoices } from './EntryChoices'
import { EntryMore } from './EntryMore'
import type { OwnColumns } from './ownColumns'
import type { DraftState } from './useDraft'
import { useEntryHand } from './useEntryHand'

interface Props {
  readonly state: DraftState
  /** Figures of what has been typed so far. */
  readonly preview: StepFigures | undefined
  readonly own: OwnColumns
  readonly oddities: readonly Oddity[]
  readonly firstField: RefObject<HTMLInputElement | null>
  readonly onCaptured: () => void
}

/** Where the table is wider than the window, what is chosen and pressed stays in sight. */
const inSight = 'sticky left-12 max-w-[calc(100vw-6rem)] md:max-w-[calc(100vw-18.5rem)]'

/**
 * The step being typed. Enter moves on in reading order, and captures in the last field; Ctrl+Enter captures from
 * anywhere. What is odd or cannot be read is said below and never stops the hand.
 */
export function EntryRows({ state, preview, own, oddities, firstField, onCaptured }: Props) {
  const { draft } = state
  const start = useRef<HTMLButtonElement>(null)
  const hand = useEntryHand(state, () => {
    onCaptured()
    start.current?.focus()
  })
  const { more, setMore } = hand
  return (
    <>
      <EntryCells hand={hand} preview={preview} own={own} firstField={firstField} start={start} />
      <tr className="no-print border-b border-rule bg-raised">
        <td />
        <td colSpan={columns.length + own.columns.length + 1} className="px-1 pb-2">
          <div className={`flex flex-wrap items-center gap-x-4 gap-y-2 ${inSight}`}>
            <EntryChoices state={state} onKey={hand.onKey('held')} />
            <button type="button" className="plain-link" aria-expanded={more} onClick={() => setMore(!more)}>
              {more ? 'Less' : 'More'}
            </button>
            <button type="button" className="action action-main" onClick={hand.tryCapture}>
              Capture
            </button>
            {state.waiting > 0 && (
              <span className="text-ochre">
                ▲ {state.waiting === 1 ? 'a half typed step waits' : `${state.waiting} half typed steps wait`}
              </span>
            )}
            {(draft.step ?? draft.load) && (
              <button type="button" className="plain-link" onClick={state.clear}>
                Clear
              </button>
            )}
          </div>
          {more && <EntryMore hand={hand} className={inSight} />}
          {hand.shown.map(([key, sentence]) => (
            <Notice key={key} kind="problem" word="At the field">
              {sentence}
            </Notice>
          ))}
          {state.slip && (
            <SlipQuestion
              slip={state.slip.slip}
              onMeant={() => hand.answerSlip(true)}
              onTyped={() => hand.answerSlip(false)}
            />
          )}
          <BeyondRating expected={draft.expected} preview={preview} />
          <OddityNotices oddities={oddities} />
        </td>
      </tr>
    </>
  )
}
