import type { ReactNode } from 'react'
import { focusFirst } from '../ui/enterRule'
import { Notice } from '../ui/Notice'
import { SlipQuestion } from './SlipQuestion'
import type { CaptureFormState } from './useCaptureForm'

interface Props {
  readonly title: string
  readonly state: Pick<CaptureFormState, 'submit' | 'slip' | 'refused' | 'restored' | 'discard'>
  readonly className?: string
  /** What the button says. */
  readonly action?: string
  readonly children: ReactNode
}

/** The frame of every form that captures: its heading, a draft marked as one, and the button. */
export function CaptureForm({ title, state, className = 'mt-5', action = 'Capture', children }: Props) {
  return (
    <form
      noValidate
      onSubmit={(event) => {
        const form = event.currentTarget
        // The hand goes where the next reading starts.
        void state.submit(event).then((taken) => taken && focusFirst(form))
      }}
      className={`no-print ${className}`}
    >
      <h2>{title}</h2>
      {state.restored && (
        <Notice kind="odd" word="Draft">
          Half typed before, kept in this tab, not captured.{' '}
          <button type="button" className="plain-link" onClick={state.discard}>
            Discard it
          </button>
        </Notice>
      )}
      {children}
      {state.slip && (
        <SlipQuestion
          slip={state.slip.slip}
          onMeant={() => void state.slip?.answer(true)}
          onTyped={() => void state.slip?.answer(false)}
        />
      )}
      {state.refused !== undefined && <Notice kind="problem">{state.refused}</Notice>}
      <button type="submit" className="action action-main mt-3">
        {action}
      </button>{' '}
      <span className="kbd">Ctrl Enter</span>
    </form>
  )
}
